import { fileURLToPath } from 'node:url';

/**
 * Options of a thread that imports its tasks and never requires them. A thread that is ended while it requires an ES module takes the whole process down on Node 20
 * (`v8::Module::IsGraphAsync must be used on an instantiated module`); threads are ended whenever an asker leaves. Ended while it imports, it just ends.
 */
export const NO_REQUIRED_MODULES = ['--no-experimental-require-module'];

/** Where a pool's threads find their tasks, and how Node starts them. */
export interface ThreadTasks {
  readonly filename: string;
  readonly execArgv: string[];
}

/** The tasks beside the module that starts the threads. `here`: that module's URL; `tasks`: the file's name without its ending. */
export function tasksBeside(here: string, tasks: string): ThreadTasks {
  const source = here.endsWith('.ts');
  return {
    filename: fileURLToPath(new URL(`./${tasks}${source ? '.ts' : '.js'}`, here)),
    execArgv: source ? ['--import', 'tsx'] : NO_REQUIRED_MODULES,
  };
}
