/** How each kind of element is drawn on its band; a joint is small, a device has a body. */
export function Glyph({ kind, x, y }: { kind: string; x: number; y: number }) {
  const line = { stroke: 'var(--ink)', strokeWidth: 1.5, fill: 'var(--raised)' }
  switch (kind) {
    case 'cable':
      return <path d={`M${x - 26} ${y - 9}h52M${x - 26} ${y + 9}h52`} stroke="var(--ink)" strokeWidth={1.5} />
    case 'lug':
      return (
        <g {...line}>
          <path d={`M${x - 12} ${y - 5}h10v10h-10z`} />
          <circle cx={x + 5} cy={y} r={8} />
          <circle cx={x + 5} cy={y} r={3} fill="var(--ground)" />
        </g>
      )
    case 'jaw clamp':
      return <path {...line} d={`M${x - 14} ${y - 11}l22 5l-5 6l5 6l-22 5z`} />
    case 'terminal':
      return (
        <g {...line}>
          <rect x={x - 9} y={y - 9} width={18} height={18} />
          <path d={`M${x - 5} ${y - 5}l10 10`} />
        </g>
      )
    case 'connector':
      return <path {...line} d={`M${x - 12} ${y - 9}h10l6 9l-6 9h-10zM${x + 12} ${y - 9}h-6l6 9l-6 9h6z`} />
    case 'fuse':
      return (
        <g {...line}>
          <rect x={x - 20} y={y - 9} width={40} height={18} />
          <path d={`M${x - 20} ${y}h40`} />
        </g>
      )
    case 'breaker':
      return (
        <g {...line}>
          <rect x={x - 18} y={y - 11} width={36} height={22} />
          <path d={`M${x - 12} ${y + 3}h6l12 -9M${x + 6} ${y + 3}h6`} fill="none" />
        </g>
      )
    case 'shunt':
      return (
        <g {...line}>
          <rect x={x - 20} y={y - 7} width={40} height={14} />
          <path d={`M${x - 12} ${y - 7}v-7M${x + 12} ${y - 7}v-7`} />
        </g>
      )
    default:
      return <path {...line} d={`M${x - 14} ${y}l10 -9h8l10 9l-10 9h-8z`} />
  }
}
