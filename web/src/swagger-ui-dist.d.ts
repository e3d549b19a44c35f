declare module 'swagger-ui-dist/swagger-ui-es-bundle.js' {
  /** Draws the description of an API into an element. */
  const SwaggerUI: {
    (options: Record<string, unknown>): unknown
    presets: { apis: unknown }
  }
  export default SwaggerUI
}
