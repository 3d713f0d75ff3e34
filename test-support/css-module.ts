/** A style sheet under test: each class is called what it is called in the source. */
export default new Proxy({}, { get: (_, name) => String(name) });
