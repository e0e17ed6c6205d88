export default { singleQuote: true, printWidth: 100 };
