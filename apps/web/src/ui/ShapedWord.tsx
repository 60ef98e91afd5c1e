export interface Look {
  readonly shape: string
  readonly colour: string
}

/** How something stands: word, shape and colour together, so that none of them is needed to tell it. */
export function ShapedWord({
  look: { shape, colour },
  word,
}: {
  readonly look: Look
  readonly word: string
}) {
  return (
    <span className={`${colour} font-bold whitespace-nowrap`}>
      {shape} {word}
    </span>
  )
}
