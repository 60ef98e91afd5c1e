import { saveFile } from '../ui/saveFile'

/** Properties that a drawing takes from the page, and needs where it stands alone. */
const carried = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-size',
  'font-family',
  'font-weight',
]

/** A drawing as a document of its own: colours as they are seen, the ground painted. */
function alone(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement
  const originals = [drawing, ...drawing.querySelectorAll<SVGElement>('*')]
  const copies = [copy, ...copy.querySelectorAll<SVGElement>('*')]
  originals.forEach((original, i) => {
    const style = getComputedStyle(original)
    for (const property of carried) copies[i]?.setAttribute(property, style.getPropertyValue(property))
    copies[i]?.removeAttribute('class')
  })
  const { width, height } = drawing.viewBox.baseVal
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(width))
  copy.setAttribute('height', String(height))
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect')
  ground.setAttribute('width', String(width))
  ground.setAttribute('height', String(height))
  ground.setAttribute('fill', getComputedStyle(document.documentElement).getPropertyValue('--ground'))
  copy.prepend(ground)
  return new XMLSerializer().serializeToString(copy)
}

/** How many pixels a unit of the drawing has in a PNG. */
const fine = 2

/** Saves a drawing as SVG or PNG under a name. */
export async function saveDrawing(drawing: SVGSVGElement, name: string, kind: 'svg' | 'png'): Promise<void> {
  const svg = new Blob([alone(drawing)], { type: 'image/svg+xml' })
  if (kind === 'svg') return saveFile(svg, `${name}.svg`)
  const { width, height } = drawing.viewBox.baseVal
  const canvas = document.createElement('canvas')
  canvas.width = width * fine
  canvas.height = height * fine
  const image = new Image()
  const address = URL.createObjectURL(svg)
  try {
    image.src = address
    await image.decode()
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  } finally {
    URL.revokeObjectURL(address)
  }
  const png = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  if (png) saveFile(png, `${name}.png`)
}
