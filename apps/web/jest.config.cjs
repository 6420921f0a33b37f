const esm = [
  '(jest-)?react-native',
  '@react-native(-community)?',
  'expo(nent)?',
  '@expo(nent)?/.*',
  '@expo-google-fonts/.*',
  'react-navigation',
  '@react-navigation/.*',
  '@rneui',
  'react-native-svg',
  'uuid',
  '@noble',
  'canonicalize',
  'temporal-polyfill',
  'temporal-utils',
  'zustand',
  '@tanstack',
  '@rauta',
]

module.exports = {
  preset: 'jest-expo/web',
  // A busy machine takes longer over a long form than it takes by itself.
  testTimeout: 20000,
  rootDir: '../..',
  testMatch: ['<rootDir>/apps/web/test/**/*.test.{ts,tsx}'],
  setupFiles: ['<rootDir>/apps/web/test/setup.cjs'],
  transform: {
    '\\.[jt]sx?$': [
      'babel-jest',
      {
        configFile: require.resolve('./babel.config.js'),
        caller: { name: 'metro', bundler: 'metro', platform: 'web' },
        // What comes later in a browser is required here.
        plugins: ['@babel/plugin-transform-dynamic-import'],
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!(${esm.join('|')}))`],
  moduleNameMapper: {
    '^canonicalize$': '<rootDir>/node_modules/canonicalize/lib/canonicalize.js',
    '^lucide-react-native/icons/(.*)$': '<rootDir>/node_modules/lucide-react-native/dist/cjs/icons/$1.js',
    '\\.ttf$': '<rootDir>/apps/web/test/file.cjs',
  },
}
