import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, api } from '../../api';
import type { Role } from '../../api';
import { forgetHere } from '../../app/session';
import { saveFile } from '../../ui';

const PEOPLE = ['people'];

/** Those of the workshop. */
export function usePeople() {
  return useQuery({ queryKey: PEOPLE, queryFn: () => answered(api.GET('/api/people')) });
}

/** Links that wait to be used; for keepers. */
export function useLinks(isAsked: boolean) {
  return useQuery({
    queryKey: [...PEOPLE, 'links'],
    queryFn: () => answered(api.GET('/api/links')),
    enabled: isAsked,
  });
}

/** Where one is signed in. */
export function useSessions() {
  return useQuery({
    queryKey: [...PEOPLE, 'sessions'],
    queryFn: () => answered(api.GET('/api/me/sessions')),
  });
}

/** What keepers do; each tells the page to look again. */
export function usePeopleCare() {
  const queries = useQueryClient();
  const onSuccess = () => queries.invalidateQueries({ queryKey: PEOPLE });
  const invite = useMutation({
    mutationFn: (role: Role) => answered(api.POST('/api/links', { body: { role } })),
    onSuccess,
  });
  const letBackIn = useMutation({
    mutationFn: (person: string) =>
      answered(api.POST('/api/people/{person}/way-back', { params: { path: { person } } })),
    onSuccess,
  });
  const setRole = useMutation({
    mutationFn: ({ person, role }: { person: string; role: Role }) =>
      answered(
        api.PUT('/api/people/{person}/role', { params: { path: { person } }, body: { role } }),
      ),
    onSuccess,
  });
  const letGo = useMutation({
    mutationFn: (person: string) =>
      answered(api.DELETE('/api/people/{person}', { params: { path: { person } } })),
    onSuccess,
  });
  const takeBack = useMutation({
    mutationFn: (link: string) =>
      answered(api.DELETE('/api/links/{link}', { params: { path: { link } } })),
    onSuccess,
  });
  const failed = [invite, letBackIn, setRole, letGo, takeBack].find((m) => m.isError)?.error;
  return { invite, letBackIn, setRole, letGo, takeBack, failed };
}

/** What one changes of oneself. */
export function useOwnAccount(refresh: () => Promise<void>) {
  const queries = useQueryClient();
  const rename = useMutation({
    mutationFn: (name: string) => answered(api.PUT('/api/me/name', { body: { name } })),
    onSuccess: refresh,
  });
  const changePassword = useMutation({
    mutationFn: (change: { old: string; password: string }) =>
      answered(api.PUT('/api/me/password', { body: change })),
    onSuccess: () => queries.invalidateQueries({ queryKey: PEOPLE }),
  });
  const signOutThere = useMutation({
    mutationFn: (session: string) =>
      answered(api.DELETE('/api/me/sessions/{session}', { params: { path: { session } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: PEOPLE }),
  });
  const readRecord = useMutation({
    mutationFn: () => answered(api.GET('/api/me/record')),
    onSuccess: (record) =>
      saveFile('about me.json', 'application/json', JSON.stringify(record, null, 2)),
  });
  const leave = useMutation({
    mutationFn: () => answered(api.DELETE('/api/me')),
    onSuccess: forgetHere,
  });
  return { rename, changePassword, signOutThere, readRecord, leave };
}

/** The workshops that one belongs to. In another one the page begins anew: nothing that it has is there. */
export function useWorkshops(refresh: () => Promise<void>) {
  const goTo = useMutation({
    mutationFn: goToWorkshop,
    onSuccess: beginAnew,
  });
  const rename = useMutation({
    mutationFn: (name: string) => answered(api.PUT('/api/workshops/here', { body: { name } })),
    onSuccess: refresh,
  });
  const begin = useMutation({
    mutationFn: async (name: string) => {
      const id = crypto.randomUUID();
      await answered(api.POST('/api/workshops', { body: { id, name } }));
      await goToWorkshop(id);
    },
    onSuccess: beginAnew,
  });
  return { goTo, rename, begin };
}

const goToWorkshop = (workshopId: string) =>
  answered(api.PUT('/api/session/workshop', { body: { workshopId } }));

const beginAnew = () => window.location.assign('/plans');
