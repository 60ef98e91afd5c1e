import { Link } from 'react-router'
import { api } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { StageHead } from '../trials/StageHead'
import { Loaded } from '../ui/Loaded'
import { Planning } from './Planning'

/** Which loads for which step: chosen over the whole ladder at once, then changed by hand. */
export function PlanPage() {
  const query = api.useLoadsQuery()
  const { trial } = useTrial()
  return (
    <>
      <StageHead />
      <Loaded query={query} what="the load shelf">
        {(loads) =>
          loads.length || trial.plan?.loads?.length ? (
            <Planning />
          ) : (
            <p>
              The load shelf is empty.{' '}
              <Link className="plain-link" to="/loads">
                Put your loads on it
              </Link>
              , one line each, and a ladder is chosen from them.
            </p>
          )
        }
      </Loaded>
    </>
  )
}
