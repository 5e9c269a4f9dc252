import { NextResponse, type NextRequest } from 'next/server';

const HEADERS = {
  // Pages and data are of one rider: kept nowhere on the way, nor shown to the next person by the back button.
  'cache-control': 'no-store',
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=()',
};

/** Names that this computer has for itself, and those that whoever runs the server lists in ALLOWED_HOSTS. */
const allowedHosts = new Set([
  'localhost',
  '127.0.0.1',
  '[::1]',
  ...(process.env.ALLOWED_HOSTS ?? '')
    .split(',')
    .map((host) => host.trim().toLowerCase())
    .filter((host) => host !== ''),
]);

/**
 * What no page of Gorvin asks. A name that is not this server's, though it leads here, is one that somebody else's page gave it, to
 * read it as its own ("DNS rebinding").
 */
function refusal(request: NextRequest): { status: number; words: string } | null {
  const host = (request.headers.get('host') ?? '').toLowerCase().replace(/:\d+$/, '');
  if (!allowedHosts.has(host))
    return {
      status: 421,
      words: `This server does not answer to the name "${host.slice(0, 100)}". Whoever runs it can allow the name with ALLOWED_HOSTS.`,
    };
  try {
    decodeURIComponent(request.nextUrl.pathname);
    return null;
  } catch {
    return { status: 400, words: 'This address cannot be read: a "%" in it is not followed by a character.' };
  }
}

/**
 * Gives every page and API request an id and the security headers. The content security policy carries a nonce
 * made for this one answer: only scripts the server itself put in the page run.
 */
export function proxy(request: NextRequest): NextResponse {
  const requestId = crypto.randomUUID();
  const refused = refusal(request);
  if (refused)
    return new NextResponse(refused.words, {
      status: refused.status,
      headers: { ...HEADERS, 'x-request-id': requestId, 'content-type': 'text/plain; charset=utf-8' },
    });
  const nonce = btoa(crypto.randomUUID());
  const development = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    // React writes style attributes into the page the server sends; style elements need the nonce.
    `style-src-elem 'self' ${development ? "'unsafe-inline'" : `'nonce-${nonce}'`}`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

  const headers = new Headers(request.headers);
  headers.set('x-request-id', requestId);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('x-request-id', requestId);
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  if (request.nextUrl.protocol === 'https:') {
    response.headers.set('strict-transport-security', 'max-age=31536000');
  }
  return response;
}

export const config = { matcher: ['/((?!_next/static|_next/image|favicon).*)'] };
