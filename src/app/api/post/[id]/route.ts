import { mayNotWords } from '@/core/doors';
import { roleOf } from '@/server/auth/guard';
import { getDb } from '@/server/db/client';
import { refused } from '@/server/errors';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { mayDeskRead } from '@/server/services/atDesk';
import { messageAsEml } from '@/server/services/postBox';

export const dynamic = 'force-dynamic';

/** One message of the post box as an e-mail file. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: async (request, { id }) => {
    if (roleOf(getDb(), request) === 'desk' && !mayDeskRead(getDb(), id)) {
      return toResponse(refused(mayNotWords('care')));
    }
    const mail = await messageAsEml(getDb(), id);
    return mail.ok ? fileResponse(new Uint8Array(mail.value), 'message/rfc822', 'message.eml') : toResponse(mail);
  },
});
