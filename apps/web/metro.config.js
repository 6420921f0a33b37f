const { getDefaultConfig } = require('expo/metro-config')

const config = getDefaultConfig(__dirname)
// A module is evaluated when it is first used, not when the page starts: most of them belong to screens that are not open.
config.transformer.getTransformOptions = async () => ({ transform: { experimentalImportSupport: false, inlineRequires: true } })
module.exports = config
