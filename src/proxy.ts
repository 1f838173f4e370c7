// While the tablet is with a client it is locked to the form: every other page leads back to it, every other request is
// refused.

import { NextResponse, type NextRequest } from 'next/server';

const FORM_COOKIE = 'strickle-form';

export function proxy(request: NextRequest): NextResponse {
  const formId = request.cookies.get(FORM_COOKIE)?.value;
  if (formId === undefined || formId === '') return NextResponse.next();
  const { pathname } = request.nextUrl;
  const own = encodeURIComponent(formId);
  if (pathname === `/form/${own}` || pathname === `/api/forms/${own}` || pathname.startsWith(`/api/forms/${own}/`)) {
    return NextResponse.next();
  }
  if (pathname.startsWith('/api/')) {
    return NextResponse.json(
      {
        error: {
          code: 'locked',
          message: 'This tablet is with a client. What you did here is kept and sent when it is back.',
          details: [],
        },
      },
      { status: 423, headers: { 'cache-control': 'no-store' } },
    );
  }
  return NextResponse.redirect(new URL(`/form/${own}`, request.url));
}

export const config = { matcher: ['/((?!_next/|icon.svg|api/health).*)'] };
