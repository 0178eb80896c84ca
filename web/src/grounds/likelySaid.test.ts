import { likelyInWords, type Likely } from '@hurrow/core/grounds';
import { likelySaid } from './likelySaid.ts';

test('how likely a part is there is said on the page as on paper', () => {
  for (const by of ['seen', 'corrected', 'calendar', 'unknown'] as Likely['by'][])
    for (const share of [0, 0.02, 0.3, 0.5, 0.74, 0.98])
      for (const ruledOut of [false, true])
        expect(likelySaid({ share, by, ruledOut })).toBe(likelyInWords({ share, by, ruledOut }));
});
