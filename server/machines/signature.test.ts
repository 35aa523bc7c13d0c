import { describe, expect, it } from 'vitest';
import { signed } from './signature';

describe('the signature of a call', () => {
  it('is that of the open specification', () => {
    // Standard Webhooks 1.0, the example of its reference libraries, from memory.
    const headers = signed(
      'MfKQ9r8GKYqrTwjUPD8ILPZIo2LaLaSw',
      'msg_p5jXN8AQM9LWM0D4loKWxJek',
      new Date(1_614_265_330_000),
      '{"test": 2432232314}',
    );
    expect(headers).toEqual({
      'webhook-id': 'msg_p5jXN8AQM9LWM0D4loKWxJek',
      'webhook-timestamp': '1614265330',
      'webhook-signature': 'v1,g0hM9SsE+OTPJTGt/tmIKtSyZlE3uFJELVlNIOLJ1OE=',
    });
  });
});
