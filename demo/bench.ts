import { emptyBench } from '../core/records/bench'
import { noTables, type Tables } from '../core/records/tables'
export function buildDemoBench(now: number): Tables { return { ...noTables(), bench: [emptyBench('demo', 'Lantern heron', now, 'demo')] } }
