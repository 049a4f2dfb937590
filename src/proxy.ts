import { NextResponse, type NextRequest } from 'next/server';
import { foreign } from '@/server/origin';

/** Stands before every page and route. */
export function proxy(request: NextRequest): Response {
  const problem = foreign(request.headers);
  if (problem) return NextResponse.json(problem, { status: 403 });
  return readable(request.nextUrl.pathname)
    ? NextResponse.next()
    : NextResponse.json({ code: 'bad-address', message: 'This address cannot be read.' }, { status: 400 });
}

function readable(path: string): boolean {
  try {
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
}
