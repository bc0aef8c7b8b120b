const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.maxWorkers = 2;
// Asks which script it stands in as it is run: that has to be while the script itself is.
const AT_ONCE = {
  [require.resolve('expo/src/winter/ImportMetaRegistry.ts')]: true,
  [require.resolve('expo/src/winter/runtime.ts')]: true,
};
// A module is run when something of it is first used: the first screen uses a third of what its scripts hold.
const { getTransformOptions } = config.transformer;
config.transformer.getTransformOptions = async (...asked) => {
  const usual = (await getTransformOptions?.(...asked)) ?? {};
  return { ...usual, transform: { ...usual.transform, inlineRequires: { blockList: AT_ONCE } } };
};

// Left out of the bundle: zod's translations, and the animation engine that expo-router pulls in and nothing here uses.
const LEFT_OUT = [/^react-native-reanimated$/, /^react-native-worklets$/];
config.resolver.resolveRequest = (context, name, platform) => {
  if (LEFT_OUT.some((pattern) => pattern.test(name))) return { type: 'empty' };
  if (name.endsWith('/locales/index.js') && /[\\/]zod[\\/]/.test(context.originModulePath))
    return { type: 'empty' };
  // JSON Schema is written by a tool; the app reads documents and writes none.
  if (
    /\/(from-json-schema|json-schema-processors)\.js$/.test(name) &&
    /[\\/]zod[\\/]/.test(context.originModulePath)
  )
    return { type: 'empty' };
  // Icons are our own SVG paths; the icon font would add 1.3 MB that nothing draws.
  if (/vector-icons/.test(name)) return { type: 'empty' };
  return context.resolveRequest(context, name, platform);
};

module.exports = config;
