import { weightsRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { saveWeights } from '@/server/services/catalogue';
import { handle, toResponse } from '@/server/toResponse';

export function PUT(request: Request): Promise<Response> {
  return handle<Parameters<typeof saveWeights>[1]>(request, weightsRequest, (body) =>
    toResponse(saveWeights(getDb(), body)),
  );
}
