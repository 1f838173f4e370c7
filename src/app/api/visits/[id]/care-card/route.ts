import Joi from 'joi';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { careCard, postCareCard } from '@/server/services/careCard';
import { careCardPdf } from '@/server/services/careCardPdf';

export const dynamic = 'force-dynamic';

/** GET: the care card as a PDF, A5. POST: the same words into the simulated post box. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => {
    const card = careCard(getDb(), id, nowMs());
    return card.ok ? fileResponse(careCardPdf(card.value), 'application/pdf', 'after-care.pdf') : toResponse(card);
  },
  POST: (request, { id }) =>
    write<object, { readonly id: string }>(request, {
      db: getDb(),
      schema: Joi.object({}).required(),
      run: () => postCareCard(getDb(), id, nowMs()),
      okStatus: 201,
    }),
});
