import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  // The application carries everything it needs; nothing is fetched from elsewhere.
  build: { target: 'es2022', assetsInlineLimit: 0, reportCompressedSize: true },
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
  test: { include: ['test/**/*.test.ts'], environment: 'happy-dom' },
})
