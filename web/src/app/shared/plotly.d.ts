declare module 'plotly.js-basic-dist-min' {
  export * from 'plotly.js';
}
