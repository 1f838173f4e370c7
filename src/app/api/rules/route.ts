import type { RuleChange } from '@/core/screening';
import { ruleRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { changeRule } from '@/server/services/consultRules';
import { handle, toResponse } from '@/server/toResponse';

export function POST(request: Request): Promise<Response> {
  return handle<RuleChange>(request, ruleRequest, (body) =>
    toResponse(changeRule(getDb(), body, actingPerson(getDb(), request), nowMs())),
  );
}
