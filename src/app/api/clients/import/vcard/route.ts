import { ok } from '@/core/shared';
import { importRequest } from '@/formats/importRequests';
import { clientsOfVcards } from '@/formats/vcard';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';

/** An address book (vCard) as the table of clients that it comes to; nothing is taken in. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) => ask<{ csv: string }>(request, importRequest, ({ csv }) => toResponse(ok(clientsOfVcards(csv)))),
});
