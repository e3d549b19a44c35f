/** All that can be asked of the program and changed: queries, changes and keys, made from its description. */
export * from './gen/@tanstack/vue-query.gen'
