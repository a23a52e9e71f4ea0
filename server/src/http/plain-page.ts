export const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** A page of the server's own, plain, so that it needs nothing that is behind the sign-in. `body` is HTML. */
export function plainPage({
  nonce,
  title,
  body,
  wide = false,
}: {
  readonly nonce: string;
  readonly title: string;
  readonly body: string;
  readonly wide?: boolean;
}): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)} · Yardland</title>
<style nonce="${nonce}">
:root { color-scheme: light dark; --ground: #f1eadd; --paper: #fbf8ef; --ink: #26303a; --soft: #55606b; --line: #8f8468; --bad: #a32020; }
@media (prefers-color-scheme: dark) { :root { --ground: #1b2126; --paper: #262d34; --ink: #f1eadd; --soft: #b4b9b6; --line: #8b8f8c; --bad: #ff9d8d; } }
body { margin: 0; min-height: 100dvh; display: grid; place-items: center; background: var(--ground); color: var(--ink); font: 16px/1.45 system-ui, sans-serif; }
main { box-sizing: border-box; width: min(${wide ? '640px' : '412px'}, 94vw); margin: 24px 0; padding: 26px; border-radius: 12px; background: var(--paper); }
form { display: grid; gap: 14px; }
h1, h2 { margin: 0; font: 700 26px/1.2 Georgia, serif; }
h2 { margin-top: 18px; font-size: 19px; }
p { margin: 0; color: var(--soft); }
main > p { margin: 10px 0; }
p b, li b, .mono { color: var(--ink); }
ol { margin: 6px 0 0; padding-left: 22px; }
.mono { font-family: ui-monospace, monospace; font-size: 13px; overflow-wrap: anywhere; }
.code { width: 200px; padding: 10px; border-radius: 8px; background: #fff; }
.code svg { display: block; width: 100%; height: auto; }
p[role="alert"] { color: var(--bad); font-weight: 600; }
label { display: grid; gap: 4px; font-size: 14px; color: var(--soft); }
input { min-height: 48px; padding: 0 12px; border: 1px solid var(--line); border-radius: 8px; background: transparent; color: var(--ink); font: inherit; font-size: 18px; }
button, .button { display: inline-grid; place-items: center; min-height: 48px; padding: 0 18px; border: 0; border-radius: 8px; background: var(--ink); color: var(--paper); font: 600 17px system-ui, sans-serif; text-decoration: none; cursor: pointer; }
:focus-visible { outline: 3px solid #2e6aa8; outline-offset: 2px; }
</style>
</head>
<body>
<main>
${body}
</main>
</body>
</html>
`;
}
