const email = 'ada@example.org';
const passphrase = 'a long passphrase';
const token = 'the token in the address of the invitation';
/** What a passkey answers, each in base64url. */
const passkey = { credential: 'Y3JlZGVudGlhbA', clientData: 'eyJ0eXBlIjoid2ViYXV0aG4ifQ' };

/** Examples of what accounts, people and devices send. */
export const accountExamples = {
  SignIn: { email, passphrase },
  Recovery: { email, code: 'k3f7-9q2m-xw4t-8hzn', passphrase: 'another long passphrase' },
  Registration: { workshop: 'Quince Yard', name: 'Ada', email, passphrase, language: 'en' },
  PassphraseInput: { current: passphrase, fresh: 'another long passphrase' },
  PassphraseRenewed: { token, passphrase: 'another long passphrase' },
  LanguageInput: { language: 'es' },
  InvitationInput: { role: 'helper', days: 7 },
  InvitationToken: { token },
  InvitationTaken: { token, name: 'Tobias', email: 'tobias@example.org', passphrase, language: 'en' },
  RoleInput: { role: 'caster' },
  ScriptTokenInput: { label: 'Shed scale', role: 'helper', days: 365 },
  NewPasskey: { ...passkey, label: 'My phone', attestation: 'o2NmbXRkbm9uZQ', transports: ['internal'] },
  PasskeySignIn: { ...passkey, authenticatorData: 'SZYN5YgO', signature: 'MEUCIQ' },
  WebhookInput: { label: 'Shed lamp', address: 'http://lamp.example/due' },
};
