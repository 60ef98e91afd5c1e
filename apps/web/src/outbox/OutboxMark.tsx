import { Link } from 'react-router'
import { useAppSelector } from '../store'

/** What the server has not acknowledged, in words; nothing when all is sent. */
export function OutboxMark() {
  const { unsent, aside, away, keepsNothing, file } = useAppSelector((state) => state.outbox)
  return (
    <>
      {keepsNothing !== undefined && (
        <span className="text-ochre max-w-md" role="status">
          ▲ This browser keeps no reading meanwhile: {keepsNothing}. What you capture goes straight to the
          server; leave the page open until it is sent.
        </span>
      )}
      {aside.length > 0 && (
        <Link to="/set-aside" className="text-madder font-semibold underline" role="alert">
          ■ {aside.length} not taken by the server, kept here
        </Link>
      )}
      {unsent.length > 0 && (
        <span className="text-ochre font-semibold" role="status" data-testid="unsent">
          ▲ {unsent.length} unsent
          {away
            ? keepsNothing === undefined
              ? ', the server is away; kept here and sent again'
              : ', the server is away; sent again while this page is open'
            : file
              ? `, ${file.name} ${Math.round(file.share * 100)} %`
              : ' …'}
        </span>
      )}
    </>
  )
}
