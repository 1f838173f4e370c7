import { notFound } from '@/server/errors';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { lan } from '@/server/lan';

export const dynamic = 'force-dynamic';

/** The authority that signs this machine's certificate, for tablets to trust. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => {
    const own = lan();
    return own === null
      ? toResponse(notFound('certificate: the server answers this machine alone'))
      : fileResponse(own.authority, 'application/x-x509-ca-cert', 'strickle-authority.crt');
  },
});
