const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The page that asks for the pass-phrase: plain, so that it needs nothing that is behind it. */
export function signInPage({ nonce, to, problem }: { readonly nonce: string; readonly to: string; readonly problem: string | null }): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Sign in · Yardland</title>
<style nonce="${nonce}">
:root { color-scheme: light dark; --ground: #f1eadd; --paper: #fbf8ef; --ink: #26303a; --soft: #55606b; --line: #8f8468; --bad: #a32020; }
@media (prefers-color-scheme: dark) { :root { --ground: #1b2126; --paper: #262d34; --ink: #f1eadd; --soft: #b4b9b6; --line: #8b8f8c; --bad: #ff9d8d; } }
body { margin: 0; min-height: 100dvh; display: grid; place-items: center; background: var(--ground); color: var(--ink); font: 16px/1.45 system-ui, sans-serif; }
form { display: grid; gap: 14px; width: min(360px, 86vw); padding: 26px; border-radius: 12px; background: var(--paper); }
h1 { margin: 0; font: 700 26px/1.2 Georgia, serif; }
p { margin: 0; color: var(--soft); }
p[role="alert"] { color: var(--bad); font-weight: 600; }
label { display: grid; gap: 4px; font-size: 14px; color: var(--soft); }
input { min-height: 48px; padding: 0 12px; border: 1px solid var(--line); border-radius: 8px; background: transparent; color: var(--ink); font: inherit; font-size: 18px; }
button { min-height: 48px; border: 0; border-radius: 8px; background: var(--ink); color: var(--paper); font: 600 17px system-ui, sans-serif; cursor: pointer; }
:focus-visible { outline: 3px solid #2e6aa8; outline-offset: 2px; }
</style>
</head>
<body>
<main>
<form method="post" action="/sign-in">
<h1>Yardland</h1>
<p>This shop asks for its pass-phrase. It is asked again on this device when it was not used for two weeks.</p>
${problem === null ? '' : `<p role="alert">${escaped(problem)}</p>`}
<input type="hidden" name="to" value="${escaped(to)}">
<label>Pass-phrase <input type="password" name="phrase" autocomplete="current-password" required autofocus></label>
<button type="submit">Sign in</button>
</form>
</main>
</body>
</html>
`;
}
