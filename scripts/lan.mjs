/** What a phone at the field is shown first: how to trust this installation, and what works without. */
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import QRCode from 'qrcode';

const FILE = '/bradyon-authority.crt';

function page(address) {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>Bradyon at the field</title>
<style>body{font:18px/1.5 system-ui,sans-serif;max-width:34rem;margin:2rem auto;padding:0 1rem;color:#16211c;background:#f4f1e7}
a.b{display:block;padding:.8rem 1rem;margin:.6rem 0;border-radius:10px;background:#1d4b3e;color:#fff;text-align:center;text-decoration:none}
li{margin:.3rem 0}</style></head><body>
<h1>Bradyon at the field</h1>
<p>Do this once on each phone or tablet. It takes a minute.</p>
<a class="b" href="${FILE}">1. Download the certificate</a>
<p><strong>iPhone or iPad:</strong></p><ol>
<li>Tap Allow, then open Settings: Profile Downloaded, Install.</li>
<li>Settings, General, About, Certificate Trust Settings: turn on “Bradyon at the field”.</li></ol>
<p><strong>Android:</strong></p><ol>
<li>Settings, Security, More security settings, Install from storage, CA certificate.</li>
<li>Choose the file bradyon-authority.crt.</li></ol>
<a class="b" href="${address}">2. Open Bradyon</a>
<p>On a device without the certificate the browser warns you. You can go on past the warning and use
everything while connected, but it cannot be installed, does not open without the network, and may not keep the
screen awake or use the microphone.</p>
<p>Remove the certificate in the same settings when you no longer need it.</p>
</body></html>`;
}

/**
 * A plain page beside the secure one: nobody can trust a certificate that only a trusted page would show.
 * @param authorityFile the authority's certificate; its key is never served
 */
export function serveAuthority(authorityFile, address, port) {
  const certificate = readFileSync(authorityFile);
  const server = createServer((request, response) => {
    if (request.url === FILE) {
      response.writeHead(200, {
        'Content-Type': 'application/x-x509-ca-cert',
        'Content-Disposition': 'attachment; filename="bradyon-authority.crt"',
      });
      response.end(certificate);
      return;
    }
    if (request.url !== '/') {
      response.writeHead(404).end();
      return;
    }
    response.writeHead(200, {
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'",
    });
    response.end(page(address));
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '0.0.0.0', () => resolve(server));
  });
}

/** A code that a phone's camera reads off the terminal. */
export function codeFor(address) {
  return QRCode.toString(address, { type: 'terminal', small: true });
}
