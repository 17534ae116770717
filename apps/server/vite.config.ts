import { defineConfig } from 'vite';

export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      // The server, the same with the demo, what is done for its people, and the script of the processes in which it runs jobs.
      input: {
        main: 'src/main.ts',
        demo: 'src/demo/main.ts',
        person: 'src/command-line/person.ts',
        'bucket-tools': 'src/command-line/bucket-tools.ts',
        'job-process': 'src/jobs/job-process.ts',
      },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
  },
});
