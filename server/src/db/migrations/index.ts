import { Initial1764000000000 } from './01-initial.js';
import { Moulds1764100000000 } from './02-moulds.js';
import { Mixes1764200000000 } from './03-mixes.js';
import { Tints1764300000000 } from './04-tints.js';
import { Parts1764400000000 } from './05-parts.js';
import { Bench1764500000000 } from './06-bench.js';
import { Climate1764600000000 } from './07-climate.js';
import { Finish1765200000000 } from './08-finish.js';
import { Limits1765900000000 } from './09-limits.js';
import { FindingsAside1796000000000 } from './10-findings-aside.js';
import { HonestAir1796100000000 } from './11-honest-air.js';
import { Vocabulary1796200000000 } from './12-vocabulary.js';
import { References1796300000000 } from './13-references.js';
import { Ambient1796400000000 } from './14-ambient.js';
import { Stages1796500000000 } from './15-stages.js';
import { Languages1796600000000 } from './16-languages.js';
import { Lists1796700000000 } from './17-lists.js';
import { Calendar1796800000000 } from './18-calendar.js';
import { Patterns1796900000000 } from './19-patterns.js';
import { Stock1797000000000 } from './20-stock.js';
import { Findings1797100000000 } from './21-findings.js';
import { Trials1797200000000 } from './22-trials.js';
import { Forgotten1797300000000 } from './23-forgotten.js';
import { Roles1797400000000 } from './24-roles.js';
import { Audit1797500000000 } from './25-audit.js';
import { Tokens1797600000000 } from './26-tokens.js';
import { Accounts1797700000000 } from './27-accounts.js';
import { Passkeys1797800000000 } from './28-passkeys.js';
import { Mails1797900000000 } from './29-mails.js';
import { PastPeople1798000000000 } from './30-past-people.js';
import { Removal1798100000000 } from './31-removal.js';
import { AuditEvents1798200000000 } from './32-audit-events.js';
import { Webhooks1798300000000 } from './33-webhooks.js';
import { Photos1798500000000 } from './34-photos.js';
import { Revisions1798600000000 } from './35-revisions.js';
import { Readings1798700000000 } from './36-readings.js';
import { SideBySide1798800000000 } from './37-side-by-side.js';
import { Moving1798900000000 } from './38-moving.js';
import { Replica1799000000000 } from './39-replica.js';

/** Every migration, in order. One that has landed is frozen: it imports no code that lives on. */
export const migrations = [
  Initial1764000000000,
  Moulds1764100000000,
  Mixes1764200000000,
  Tints1764300000000,
  Parts1764400000000,
  Bench1764500000000,
  Climate1764600000000,
  Finish1765200000000,
  Limits1765900000000,
  FindingsAside1796000000000,
  HonestAir1796100000000,
  Vocabulary1796200000000,
  References1796300000000,
  Ambient1796400000000,
  Stages1796500000000,
  Languages1796600000000,
  Lists1796700000000,
  Calendar1796800000000,
  Patterns1796900000000,
  Stock1797000000000,
  Findings1797100000000,
  Trials1797200000000,
  Forgotten1797300000000,
  Roles1797400000000,
  Audit1797500000000,
  Tokens1797600000000,
  Accounts1797700000000,
  Passkeys1797800000000,
  Mails1797900000000,
  PastPeople1798000000000,
  Removal1798100000000,
  AuditEvents1798200000000,
  Webhooks1798300000000,
  Photos1798500000000,
  Revisions1798600000000,
  Readings1798700000000,
  SideBySide1798800000000,
  Moving1798900000000,
  Replica1799000000000,
] as const;
