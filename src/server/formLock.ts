import 'server-only';

/**
 * While this cookie is there the browser shows the client's form and nothing else (src/proxy.ts); the PIN takes it
 * away.
 */
export const FORM_COOKIE = 'strickle-form';
const BASE = 'Path=/; HttpOnly; SameSite=Strict';

export const locked = (response: Response, formId: string): Response => {
  response.headers.append('set-cookie', `${FORM_COOKIE}=${formId}; ${BASE}`);
  return response;
};
export const unlocked = (response: Response): Response => {
  response.headers.append('set-cookie', `${FORM_COOKIE}=; Max-Age=0; ${BASE}`);
  return response;
};
