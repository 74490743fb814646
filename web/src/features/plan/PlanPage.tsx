import { Link, useParams } from 'react-router';
import { Refused, useCableTypes, useConnectors, usePlan } from '../../api';
import { Shell } from '../../app/Shell';
import { PlanSheet } from './PlanSheet';

/** Opens the plan that the address names, or another where it is said. */
export function PlanPage({ id: said }: { id?: string }) {
  const { id = said ?? '' } = useParams();
  const plan = usePlan(id);
  const cables = useCableTypes();
  const connectors = useConnectors();

  if (plan.data && cables.data && connectors.data) {
    return (
      <PlanSheet key={id} stored={plan.data} catalogue={cables.data} connectors={connectors.data} />
    );
  }
  const gone = plan.error instanceof Refused;
  return (
    <Shell>
      <p className="px-4 py-6" role="status">
        {gone ? (
          <>
            There is no such plan here; it may have been deleted.{' '}
            <Link to="/plans" className="quiet">
              All plans
            </Link>
          </>
        ) : plan.failureCount > 0 ? (
          'The server does not answer; trying again.'
        ) : (
          'Opening the plan …'
        )}
      </p>
    </Shell>
  );
}
