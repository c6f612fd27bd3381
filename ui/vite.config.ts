import vue from '@vitejs/plugin-vue'
import { readdirSync, readFileSync } from 'node:fs'
import sbom from 'rollup-plugin-sbom'
import { defineConfig } from 'vitest/config'

/** Each package brings its licence along, as most of them ask. */
const withTexts: NonNullable<Parameters<typeof sbom>[0]>['afterCollect'] = (bom) => {
  for (const { group, name, licenses } of bom.components) {
    const folder = ['node_modules', group, name].filter(Boolean).join('/')
    const file = readdirSync(folder).find((each) => /^licen[cs]e/i.test(each))
    if (!file) continue
    const content = readFileSync(`${folder}/${file}`, 'utf8')
    for (const licence of licenses) Object.assign(licence, { text: { content } })
  }
}

export default defineConfig({
  plugins: [
    vue(),
    {
      ...sbom({
        outDir: 'licences',
        outFilename: 'pages.cdx',
        includeWellKnown: false,
        saveTimestamp: false,
        afterCollect: withTexts,
      }),
      apply: 'build',
    },
  ],
  // The application carries everything it needs; nothing is fetched from elsewhere.
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    reportCompressedSize: true,
    rolldownOptions: {
      onwarn(warning, tell) {
        // It looks for a bundler that is not in use.
        if (warning.plugin !== 'rollup-plugin-sbom') tell(warning)
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
  test: { include: ['test/**/*.test.ts'], environment: 'happy-dom' },
})
