// A zone whose clocks change, whatever the machine's own.
process.env.TZ = 'Europe/London';

// Two projects: the core in bare Node, as it must run anywhere; components in a browser-like page.
const coreBabel = [
  'babel-jest',
  {
    presets: ['babel-preset-expo'],
    caller: { name: 'metro', bundler: 'metro', platform: 'web' },
    babelrc: false,
    configFile: false,
  },
];

module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,tools,server,demo,workers}/**/*.test.ts'],
      transform: { '\\.[jt]sx?$': coreBabel },
    },
    {
      displayName: 'app',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/{ui,screens,state,app}/**/*.test.{ts,tsx}'],
      setupFilesAfterEnv: ['<rootDir>/tools/jest-setup.ts'],
      moduleNameMapper: {
        '^react-native$': 'react-native-web',
        '^@react-native-async-storage/async-storage$': '@react-native-async-storage/async-storage/jest',
      },
      transformIgnorePatterns: [
        'node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-svg|react-native-paper|gifted-charts-core))',
      ],
    },
  ],
};
