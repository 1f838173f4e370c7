import { errorResponse, toResponse } from '@/server/http/answers';
import { limitedBytes } from '@/server/http/body';
import { isForeign } from '@/server/http/foreign';
import { route } from '@/server/http/route';
import { dropUpload, putPiece } from '@/server/uploads';
import { ok } from '@/core/shared';

/** PUT: the next piece of a file, as it is; `x-at` says where it begins. DELETE: the file is not wanted any more. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: async (request, { id }) => {
    if (isForeign(request)) return errorResponse(403, 'foreign-origin', 'Only this studio may write here.');
    const at = Number(request.headers.get('x-at') ?? 'none');
    if (!Number.isSafeInteger(at) || at < 0) return errorResponse(400, 'at', 'Where the piece begins is not said.');
    const bytes = await limitedBytes(request);
    if (bytes === null) return errorResponse(413, 'too-large', 'The piece is too large.');
    return toResponse(putPiece(id, at, bytes));
  },
  DELETE: (request, { id }) => {
    if (isForeign(request)) return errorResponse(403, 'foreign-origin', 'Only this studio may write here.');
    dropUpload(id);
    return toResponse(ok({ size: 0 }));
  },
});
