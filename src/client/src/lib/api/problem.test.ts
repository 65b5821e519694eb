import { describe, expect, it } from 'vitest';
import { unreachable } from './problem';

describe('when nothing answers', () => {
  it('the program has stopped, seen from its own machine', () => {
    expect(unreachable('localhost').title).toBe('The kettle does not answer');
    expect(unreachable('127.0.0.1').detail).toContain('has stopped');
    expect(unreachable('[::1]').detail).toContain('has stopped');
  });
  it('a phone looks for its network first', () => {
    expect(unreachable('192.168.1.20').title).toBe('No connection to the kettle');
    expect(unreachable('192.168.1.20').detail).toContain('Wi-Fi');
  });
});
