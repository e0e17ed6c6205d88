// Styles mean nothing to component tests.
module.exports = {};
