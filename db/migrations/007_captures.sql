-- Captures come with bytes as files do, and are asked for by the instrument that made them.
create index entry_capture on entry ((body #>> '{reading,sha256}')) where kind = 'capture';
create index entry_captures_of_trial on entry (trial) where kind = 'capture';
create index entry_capture_instrument on entry ((body #>> '{reading,instrument,name}'), sequence desc) where kind = 'capture';
