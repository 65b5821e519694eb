import { say } from '../messages/say';
import type { components } from './schema';

/** One change that would make a refused dish possible; the server has planned it. */
export type Alternative = components['schemas']['AlternativeDto'];

/** A refusal as RFC 9457 carries it. */
export type Problem = Omit<components['schemas']['Problem'], 'type'> & {
  alternatives?: Alternative[];
  /** What stands there instead, of a conflict. */
  current?: unknown;
};

/** What is told when no answer comes at all. On the kettle's own machine, which needs no network for it, the program has stopped; elsewhere
 * the way to it may be missing. */
export function unreachable(host = location.hostname): Problem {
  const here = /^(localhost|127(\.\d+){3}|\[::1\])$/.test(host);
  return {
    status: 0,
    code: 'client.unreachable',
    title: here ? say('client.unreachable.title') : say('client.no_network.title'),
    detail: here ? say('client.unreachable.detail') : say('client.no_network.detail'),
  };
}

/** Reads whatever came instead of an answer as a problem. */
export function asProblem(error: unknown, status: number): Problem {
  if (error && typeof error === 'object' && 'code' in error && 'detail' in error) {
    return { ...(error as Problem), status };
  }
  return {
    status,
    code: 'client.unknown',
    title: say('client.unknown.title'),
    detail: say('client.unknown.detail', { status }),
  };
}
