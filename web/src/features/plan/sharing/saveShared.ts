import { answered, api } from '../../../api';
import { saveFile } from '../../../ui';

/** The plan as a file, for whoever came by a link to it: what is in the link goes with no address. */
export async function saveShared(planId: string, name: string): Promise<void> {
  const file = await answered(
    api.GET('/api/transfers/plans/{id}', { params: { path: { id: planId } }, parseAs: 'blob' }),
  );
  saveFile(`${name}.eskiz.json`, 'application/json', file as unknown as Blob);
}
