/** Fonts by name: what draws on its own, as a chart does, cannot inherit them. */
export const BODY_FONT = "'Plain Zero', 'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";
export const HEADING_FONT = "'Bricolage Grotesque Variable', system-ui, sans-serif";
