import { escaped, plainPage } from '../http/plain-page';

interface TrustPage {
  readonly nonce: string;
  /** Where this page is found from other devices; null where the server is open on this machine only. */
  readonly address: string | null;
  /** That address as a QR code, SVG. */
  readonly code: string | null;
  /** The fingerprint of the shop's authority; null where there is none to trust. */
  readonly fingerprint: string | null;
}

export const AUTHORITY_PATH = '/trust/yardland-shop.crt';

const steps = (...words: readonly string[]): string => `<ol>${words.map((one) => `<li>${one}</li>`).join('')}</ol>`;

const HOW = `
<p><a class="button" href="${AUTHORITY_PATH}" download>Get the shop’s certificate</a></p>
<h2>iPad and iPhone</h2>
${steps('Open this page in the device’s own browser, get the certificate and allow it.', 'Settings, <b>Profile downloaded</b>: install it.', 'Settings, General, About, <b>Certificate trust settings</b>: switch it on.')}
<h2>Android</h2>
${steps('Get the certificate.', 'Settings, search for <b>CA certificate</b>, install it anyway, and choose the file.')}
<h2>Windows</h2>
${steps('Open the file, <b>Install certificate</b>, current user.', 'Place it in <b>Trusted root certification authorities</b>.')}
<h2>macOS</h2>
${steps('Open the file: it goes into the keychain.', 'Open it there and set <b>Always trust</b>.')}
<h2>Linux</h2>
${steps('In the browser’s settings, certificates, <b>Authorities</b>: import the file for websites.')}
<p>Once trusted, Yardland can be installed on the device, works when the network is away, and may use its camera.</p>`;

/** How a tablet or a phone comes to trust the shop’s own server. It can be read before anybody trusts or signs in: there is no secret in it. */
export function trustPage({ nonce, address, code, fingerprint }: TrustPage): string {
  const body =
    address === null
      ? '<h1>Tablets and phones</h1><p>This server is open on this machine only. Start it with <b>HOST=0.0.0.0</b> and a pass-phrase in <b>YARDLAND_PASSPHRASE</b>: then tablets and phones in the shop’s network reach it, and this page shows how.</p>'
      : `<h1>Tablets and phones</h1>
<p>Point the device’s camera here, or open <b>${escaped(address)}</b></p>
<div class="code">${code ?? ''}</div>
${
  fingerprint === null
    ? '<p>This shop has its own certificate: there is nothing to trust. Open the address and sign in.</p>'
    : `<p>Browsers keep offline work, installing and the camera for servers they trust. This one proves itself with a certificate of the shop’s own, which each device trusts once.</p>
${HOW}
<p>The certificate’s fingerprint (SHA-256), to compare where a device shows it:</p><p class="mono">${escaped(fingerprint)}</p>`
}`;
  return plainPage({ nonce, title: 'Tablets and phones', body, wide: true });
}
