import { jobStepsSchema, keptLaysSchema, problemSchema, storedJobSchema, type JobSteps, type KeptLays, type Problem, type StoredJob } from '@yardland/core';

/** What the server answers with whole jobs and lays, by the name of its contract. */
export interface Answers {
  readonly job: StoredJob;
  readonly steps: JobSteps;
  readonly lays: KeptLays;
  readonly problem: Problem;
}
export type AnswerKind = keyof Answers;
export type Answer = Answers[AnswerKind];

const CONTRACTS = { job: storedJobSchema, steps: jobStepsSchema, lays: keptLaysSchema, problem: problemSchema };

/** What the server said, checked against its contract. Throws a `ZodError` where it does not keep to it. */
export function readAnswer(answer: AnswerKind, value: unknown): Answer {
  return CONTRACTS[answer].parse(value);
}
