import express, { type Express } from 'express'
import encodeQR from 'qr'
import type { LanFacts } from './facts'

export const codeSvg = (text: string): string => encodeQR(text, 'svg', { border: 2 })
/** The same for a terminal: dark on light whatever its colours are. */
export const codeForTerminal = (text: string): string => encodeQR(text, 'term', { border: 2 })

const safe = (text: string) => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`)

/** The one page that is served without encryption: how a phone comes to trust this job's authority. Everything else leads here. */
export function trustApp(facts: () => LanFacts, authority: () => string): Express {
  const app = express()
  app.disable('x-powered-by')
  app.get('/trust/authority.crt', (_request, response) => {
    response
      .type('application/x-x509-ca-cert')
      .setHeader('content-disposition', 'attachment; filename="rauta-authority.crt"')
      .send(authority())
  })
  app.get('/trust/code.svg', (_request, response) => {
    response.type('image/svg+xml').send(codeSvg(facts().trust))
  })
  app.get('/trust', (_request, response) => {
    response
      .type('html')
      .setHeader('content-security-policy', "default-src 'none'; style-src 'unsafe-inline'; img-src 'self'")
      .send(page(facts()))
  })
  app.get('/{*rest}', (_request, response) => {
    response.redirect('/trust')
  })
  return app
}

function page({ origin, trust, fingerprint }: LanFacts): string {
  return `<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Trust Rauta on this site</title>
<style>
body{margin:0 auto;max-width:34rem;padding:16px;font:17px/1.45 system-ui,sans-serif;background:#F3EFE6;color:#1F2527}
h1{font-size:22px;margin:8px 0}h2{font-size:17px;margin:20px 0 4px}ol{padding-left:1.3em}li{margin:6px 0}
a.bar{display:block;min-height:52px;line-height:52px;padding:0 16px;background:#A5421A;color:#fff;text-decoration:none;font-weight:600;border-radius:3px;margin:12px 0}
a.plain{background:none;color:#1F2527;border:1px solid #1F2527}code{font:14px/1.5 ui-monospace,monospace;overflow-wrap:anywhere}img{width:180px;height:180px;background:#fff}
@media (prefers-color-scheme:dark){body{background:#16191A;color:#ECE8DE}a.plain{color:#ECE8DE;border-color:#ECE8DE}}
</style></head><body>
<h1>Let this phone trust Rauta on this site</h1>
<p>Browsers let an application work without signal only over a connection that they trust. Rauta made an authority for this job alone: it can vouch for this job’s address and for nothing else.</p>
<a class="bar" href="/trust/authority.crt">1. Get the authority</a>
<h2>2. Install it</h2>
<ol>
<li>Where the phone says that a profile was loaded: open Settings, then the loaded profile, then install it. After that look under About for the certificate trust settings, and switch this authority on.</li>
<li>Where the phone saved a file: open Settings, search for “certificate”, choose to install a CA certificate, and pick <code>rauta-authority.crt</code>.</li>
</ol>
<h2>3. Compare</h2>
<p>The phone shows the authority’s SHA-256 fingerprint. It must be the one that the laptop shows:</p>
<p><code>${safe(fingerprint)}</code></p>
<a class="bar plain" href="${safe(origin)}/">4. Open Rauta</a>
<p><code>${safe(origin)}</code><br>Then put it on the home screen.</p>
<h2>The next phone</h2>
<p><img src="/trust/code.svg" alt="Code that opens this page"><br><code>${safe(trust)}</code></p>
<p>When the job is handed over, remove the authority from the phone again.</p>
</body></html>`
}
