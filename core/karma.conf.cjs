const { karmaConfig } = require('../tools/karma.cjs');
module.exports = (config) => config.set(karmaConfig('core', config));
