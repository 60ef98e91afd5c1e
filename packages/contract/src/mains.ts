/** Mains systems that units are made for. */
export const mainsSystems = [
  '230 V 50 Hz',
  '120 V 60 Hz',
  '120/240 V 60 Hz, split phase',
  '240 V 50 Hz',
  '220 V 60 Hz',
  '127 V 60 Hz',
  '100 V 50 Hz',
  '100 V 60 Hz',
] as const
