/** Next calls this before any page or handler: an address that is no address is refused here, since nothing after it could read it. */
import { NextResponse, type NextRequest } from 'next/server';

export function proxy(request: NextRequest): NextResponse {
  try {
    decodeURIComponent(request.nextUrl.pathname);
    return NextResponse.next();
  } catch {
    return NextResponse.json({ error: 'This address cannot be read: a per cent sign in it stands alone.', field: null }, { status: 400 });
  }
}

/** Only addresses with a per cent sign: of whatever else passes through here, Next would keep the whole body in memory and cut it at 10 MB. */
export const config = { matcher: ['/(.*%.*)'] };
