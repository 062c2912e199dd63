import { memo } from 'react';
import { COMB_INK, combColour, CONTENT_COLOUR as C } from './contentStyle.ts';

/** The patterns of the comb pictures, once a page. */
export const CombPatterns = memo(function CombPatterns() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <defs>
        <pattern id="comb-honey" width="8" height="4" patternUnits="userSpaceOnUse">
          <rect width="8" height="4" fill={C.honey} />
          <path d="M0 2h8" stroke={combColour('honey-line')} strokeWidth="0.9" />
        </pattern>
        <pattern id="comb-nectar" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill={C.nectar} />
          <path d="M1 2.5h2" stroke={combColour('nectar-line')} strokeWidth="0.8" />
        </pattern>
        <pattern id="comb-bread" width="4" height="4" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" fill={C.beeBread} />
          <circle cx="1" cy="1" r="0.8" fill={combColour('bee-bread-line')} />
          <circle cx="3" cy="3" r="0.8" fill={combColour('bee-bread-dark')} />
        </pattern>
        <pattern id="comb-eggs" width="4" height="4.5" patternUnits="userSpaceOnUse">
          <rect width="4" height="4.5" fill={C.eggs} />
          <path d="M1 1.2v2M3 2.6v1.6M3 0v.3" stroke={COMB_INK} strokeWidth="0.9" strokeLinecap="round" />
        </pattern>
        <pattern id="comb-open" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill={C.open} />
          <path d="M4.2 2a1.5 1.5 0 1 0 0 2" fill="none" stroke={combColour('open-line')} strokeWidth="0.9" />
        </pattern>
        <pattern id="comb-capped" width="3.6" height="3.6" patternUnits="userSpaceOnUse">
          <rect width="3.6" height="3.6" fill={C.capped} />
          <circle cx="0.9" cy="0.9" r="0.5" fill={combColour('capped-line')} />
          <circle cx="2.7" cy="2.7" r="0.5" fill={combColour('capped-light')} />
        </pattern>
        <pattern id="comb-emerging" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill={C.emerging} />
          <circle
            cx="2.5"
            cy="2.5"
            r="1.4"
            fill={combColour('emerging-light')}
            stroke={combColour('emerging-line')}
            strokeWidth="0.7"
          />
        </pattern>
        <pattern id="comb-drone" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill={C.drone} />
          <circle cx="3" cy="3" r="2.1" fill={combColour('drone-line')} />
        </pattern>
        <pattern id="comb-drawn" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill={C.drawn} />
        </pattern>
        <pattern id="comb-foundation" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill={C.foundation} />
          <path d="M0 5L5 0" stroke={combColour('foundation-line')} strokeWidth="0.8" />
        </pattern>
      </defs>
    </svg>
  );
});
