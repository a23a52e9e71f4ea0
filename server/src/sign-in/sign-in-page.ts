import { escaped, plainPage } from '../http/plain-page';

/** The page that asks for the pass-phrase. */
export function signInPage({ nonce, to, problem }: { readonly nonce: string; readonly to: string; readonly problem: string | null }): string {
  const body = `<form method="post" action="/sign-in">
<h1>Yardland</h1>
<p>This shop asks for its pass-phrase. It is asked again on this device when it was not used for two weeks.</p>
${problem === null ? '' : `<p role="alert">${escaped(problem)}</p>`}
<input type="hidden" name="to" value="${escaped(to)}">
<label>Pass-phrase <input type="password" name="phrase" autocomplete="current-password" required autofocus></label>
<button type="submit">Sign in</button>
</form>`;
  return plainPage({ nonce, title: 'Sign in', body });
}
