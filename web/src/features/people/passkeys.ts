import { answered, api } from '../../api';
import type { Problem, Schemas } from '../../api';

/** Whether this browser knows passkeys, and how to say them as JSON. */
export function knowsPasskeys(): boolean {
  return (
    typeof PublicKeyCredential !== 'undefined' &&
    'parseCreationOptionsFromJSON' in PublicKeyCredential
  );
}

/** Has the device make a key, and the server keep it. */
export async function makePasskey(name: string): Promise<Schemas['PasskeyResponse']> {
  const options = await answered(api.POST('/api/me/passkeys/options'));
  const publicKey = PublicKeyCredential.parseCreationOptionsFromJSON(
    options as PublicKeyCredentialCreationOptionsJSON,
  );
  const credential = await ofDevice(() => navigator.credentials.create({ publicKey }));
  return answered(api.POST('/api/me/passkeys', { body: { name, credential } }));
}

/** Has the device sign, and begins a session by it. */
export async function signInByPasskey(): Promise<void> {
  const options = await answered(api.POST('/api/session/passkey/options'));
  const publicKey = PublicKeyCredential.parseRequestOptionsFromJSON(
    options as PublicKeyCredentialRequestOptionsJSON,
  );
  const credential = await ofDevice(() => navigator.credentials.get({ publicKey }));
  // a key that is not known is no session that has ended
  const { response, error } = await api.POST('/api/session/passkey', { body: { credential } });
  if (!response.ok) {
    throw new Error((error as Problem | undefined)?.detail ?? 'the server does not answer');
  }
}

async function ofDevice(
  ask: () => Promise<Credential | null>,
): Promise<RegistrationResponseJSON | AuthenticationResponseJSON> {
  try {
    const credential = (await ask()) as PublicKeyCredential;
    return credential.toJSON();
  } catch {
    // what the browser says of it is not for people
    throw new Error('nothing came from the device: it was given up, or the device has no such key');
  }
}
