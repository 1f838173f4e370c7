import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { messageAsEml } from '@/server/services/postBox';

export const dynamic = 'force-dynamic';

/** One message of the post box as an e-mail file. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: async (_, { id }) => {
    const mail = await messageAsEml(getDb(), id);
    return mail.ok ? fileResponse(new Uint8Array(mail.value), 'message/rfc822', 'message.eml') : toResponse(mail);
  },
});
