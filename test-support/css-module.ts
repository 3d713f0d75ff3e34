/** A style sheet under test: each class is called what it is called in the source. */
const classes = new Proxy({}, { get: (_, name) => String(name) });
export default classes;
