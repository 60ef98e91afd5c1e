/** Facts in words, one a line; what was not noted is a dash. */
export function Facts({ facts }: { facts: readonly (readonly [words: string, fact: string | undefined])[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
      {facts.map(([words, fact]) => (
        <div key={words} className="contents">
          <dt className="text-quiet">{words}</dt>
          <dd className="break-words">{fact ?? <span title="not noted">–</span>}</dd>
        </div>
      ))}
    </dl>
  )
}
