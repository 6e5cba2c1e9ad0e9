// Asks a device to sign, and sends with the form what it signed. What it is asked for comes from the server each time,
// as nothing that is signed counts twice. Where a page was opened in a way that no browser lets passkeys work, it says so.
import { bytes, text } from '../calc/base64url.js';

const named = (credential) => ({ ...credential, id: bytes(credential.id) });

const asked = (options) => ({
  ...options,
  challenge: bytes(options.challenge),
  ...(options.user && { user: named(options.user) }),
  ...(options.excludeCredentials && { excludeCredentials: options.excludeCredentials.map(named) }),
  ...(options.allowCredentials && { allowCredentials: options.allowCredentials.map(named) }),
});

const told = ({ id, rawId, type, response, authenticatorAttachment }) =>
  JSON.stringify({
    id,
    rawId: text(rawId),
    type,
    authenticatorAttachment,
    clientExtensionResults: {},
    response: Object.fromEntries(
      ['clientDataJSON', 'attestationObject', 'authenticatorData', 'signature', 'userHandle']
        .filter((part) => response[part])
        .map((part) => [part, text(response[part])]),
    ),
  });

const works = () =>
  window.isSecureContext && Boolean(window.PublicKeyCredential) && !/^[\d.]+$|:/.test(window.location.hostname);

const NOT_HERE = 'No browser makes or shows a passkey at this address. Open the workshop by its name under https,'
  + ' or as localhost on its own machine.';

const words = (error) =>
  error.name === 'InvalidStateError'
    ? 'This device has a passkey of yours already.'
    : error.name === 'NotAllowedError'
      ? 'No passkey came. It was put off or took too long, the device has none for this address, or the key has no PIN yet.'
      : 'This browser could not ask for a passkey here.';

export function passkey(form) {
  const field = form.querySelector('[data-signed]');
  const problem = form.querySelector('[data-passkey-problem]');
  if (!works()) {
    const tells = 'tellsWithout' in problem.dataset;
    form.querySelectorAll('[data-passkey-works]').forEach((part) => part.remove());
    problem.textContent = tells ? NOT_HERE : '';
    form.hidden = !tells;
    return;
  }
  form.hidden = false;
  form.addEventListener('submit', async (event) => {
    if (field.value) {
      return;
    }
    event.preventDefault();
    problem.textContent = '';
    try {
      const answer = await fetch(form.dataset.passkey, { headers: { Accept: 'application/json' } });
      const publicKey = asked(await answer.json());
      const credential = await navigator.credentials[publicKey.user ? 'create' : 'get']({ publicKey });
      field.value = told(credential);
      form.requestSubmit();
    } catch (error) {
      problem.textContent = words(error);
    }
  });
  // Whoever comes back to the page by the browser's own way signs anew.
  window.addEventListener('pageshow', () => {
    field.value = '';
  });
}
