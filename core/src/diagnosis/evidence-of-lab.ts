import { labReading, type PumpState } from '../fold/index.js';
import type { Entry, LabReading } from '../journal/index.js';
import { labReadingOf } from '../oil/index.js';
import type { SetUpBook } from '../set-up/index.js';
import { observed, type Observation } from './evidence.js';

type LabReport = ReturnType<typeof labReading>;

/**
 * What reports say, judged as the verdict judges them: by the oil that the sample was drawn from and the limits in force when the
 * report came. Of a pump that is new to its laboratory, whoever reads the report says what its silicon means.
 */
export function evidenceOfLab(input: {
  pumpId: string;
  entries: readonly Entry[];
  state: PumpState;
  book: SetUpBook;
}): Observation[] {
  const { pumpId, entries, state, book } = input;
  return entries.flatMap((entry) => {
    if (entry.kind !== 'labResult') return [];
    const sample = state.samples.find((s) => s.entryId === entry.body.sampleId && s.sump === 'oil');
    const setUp = book.pumpAt({ pumpId, instant: entry.happenedAt });
    if (!sample || !setUp) return [];
    const report = labReading({ state, sample, body: entry.body, setUp });
    const judged = (reading: LabReading) =>
      (entry.body[reading] ?? null) !== null && !report.notJudged.some((n) => n.reading === reading);
    const passed = (reading: LabReading) => report.findings.some((f) => labReadingOf(f) === reading);
    const said: Observation[] = [];
    if (judged('viscosity40Mm2s')) said.push(observed(entry, 'thickness', thicknessOf(report)));
    if (judged('ironPpm')) said.push(observed(entry, 'iron', passed('ironPpm') ? 'raised' : 'normal'));
    if (judged('siliconPpm')) said.push(observed(entry, 'silicon', siliconOf(report)));
    if (judged('count6PerMl')) said.push(observed(entry, 'particleCode', passed('count6PerMl') ? 'raised' : 'usual'));
    // Detergent oils hold their own bases: there the base number speaks, and the acid number is not judged.
    if (judged('acidMgKohG') || judged('baseMgKohG'))
      said.push(observed(entry, 'acid', passed('acidMgKohG') || passed('baseMgKohG') ? 'raised' : 'normal'));
    // A report speaks for the day of its sample.
    return said.map((one) => ({ ...one, at: sample.at }));
  });
}

function siliconOf({ findings }: LabReport): 'normal' | 'alone' | 'withAluminium' {
  const found = findings.find((f) => f.code === 'silicon');
  return found ? (found.withAluminium ? 'withAluminium' : 'alone') : 'normal';
}

function thicknessOf({ findings }: LabReport): 'asFresh' | 'thin' | 'thick' {
  const found = findings.find((f) => f.code === 'viscosity');
  return found ? (found.thinner ? 'thin' : 'thick') : 'asFresh';
}
