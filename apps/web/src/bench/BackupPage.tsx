import { Page } from '../ui/Page'

/** The whole installation in one file, and how it is had back. */
export function BackupPage() {
  return (
    <Page title="Back up">
      <p className="mb-3 max-w-prose">
        Everything that is here in one file: trials, readings, files, units, meters, rigs and loads, as they
        stand at one moment. Work can go on meanwhile. Keep it on another disk.
      </p>
      <a className="action action-main" href="/api/backup" download>
        Save a backup
      </a>
      <h2 className="mt-6">From the terminal</h2>
      <p className="max-w-prose">
        The same, read through again after it is written, so that it can be trusted; for a nightly job too:
      </p>
      <pre className="figures bg-raised my-2 overflow-x-auto p-2">
        npm run backup -- /media/stick/even-watt.backup.zip
      </pre>
      <h2 className="mt-4">Having it back</h2>
      <p className="max-w-prose">
        On a fresh installation, here or on another machine. What is restored is compared with what was backed
        up before it is taken over; an installation that holds something is never overwritten.
      </p>
      <pre className="figures bg-raised my-2 overflow-x-auto p-2">
        EVEN_WATT_DATA=/var/lib/even-watt-2 npm run restore -- /media/stick/even-watt.backup.zip{'\n'}
        EVEN_WATT_DATA=/var/lib/even-watt-2 npm start
      </pre>
    </Page>
  )
}
