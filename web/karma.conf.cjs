const { karmaConfig } = require('../tools/karma.cjs');
module.exports = (config) => config.set(karmaConfig('web', config));
