import { NextResponse, type NextRequest } from 'next/server';
import { foreign } from '@/server/origin';

/** Stands before every page and route. */
export function proxy(request: NextRequest): Response {
  const problem = foreign(request.headers);
  return problem ? NextResponse.json(problem, { status: 403 }) : NextResponse.next();
}
