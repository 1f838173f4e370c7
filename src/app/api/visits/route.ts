import { openVisitRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { openVisit, type OpenVisit } from '@/server/services/openVisit';
import { handle, toResponse } from '@/server/toResponse';

export function POST(request: Request): Promise<Response> {
  return handle<OpenVisit>(request, openVisitRequest, (body) => toResponse(openVisit(getDb(), body, nowMs())));
}
