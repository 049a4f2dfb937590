import { NextResponse, type NextRequest } from 'next/server';
import { foreign } from '@/server/origin';
import { contentPolicy } from '@/server/policy';

/**
 * Whatever passes here is held in memory whole; a job bundle is larger than that should ever be for somebody who was not asked yet, so its
 * route looks at who comes from where by itself (`server/http.bytesRoute`) and reads only then.
 */
export const config = { matcher: '/((?!api/bundles|api/runs/files).*)' };

/** Stands before every other page and route. */
export function proxy(request: NextRequest): Response {
  const problem = foreign(request.headers, request.method, byProgram(request));
  if (problem) return NextResponse.json(problem, { status: 403 });
  if (!readable(request.nextUrl.pathname))
    return NextResponse.json({ code: 'bad-address', message: 'This address cannot be read.' }, { status: 400 });
  const policy = contentPolicy(nonce(), process.env.NODE_ENV !== 'production');
  // The framework reads the nonce for its own scripts off the request.
  const headers = new Headers(request.headers);
  headers.set('Content-Security-Policy', policy);
  const id = crypto.randomUUID();
  headers.set('x-request-id', id);
  // Where a page leads back to after the sign-in.
  headers.set('x-gravelwort-path', `${request.nextUrl.pathname}${request.nextUrl.search}`);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('X-Request-Id', id);
  answer.headers.set('Content-Security-Policy', policy);
  return answer;
}

/** A program brings its token in a header that no page of another site can make a browser send; it comes from no page at all. */
const byProgram = ({ headers, nextUrl }: NextRequest): boolean =>
  nextUrl.pathname.startsWith('/api/v1/') && (headers.get('authorization') ?? '').startsWith('Bearer ');

const nonce = (): string => Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');

function readable(path: string): boolean {
  try {
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
}
