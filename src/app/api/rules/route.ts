import type { RuleChange } from '@/core/screening';
import { ok } from '@/core/shared';
import { ruleRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { changeRule, loadRules, type RulesPage } from '@/server/services/consultRules';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<RuleChange, null, RulesPage>(request, {
      db: getDb(),
      schema: ruleRequest,
      run: (body) => changeRule(getDb(), body, actingPerson(getDb(), request), nowMs()),
      tells: () => [{ kind: 'studio' }],
      answer: () => ok(loadRules(getDb())),
    }),
});
