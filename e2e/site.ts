/** Where this run of the journeys has its server and its rig: several runs stand side by side, each with a demo of its own. */
export const port = Number(process.env['E2E_PORT'] ?? 4390)
export const base = `http://127.0.0.1:${port}`
export const rigBase = `http://127.0.0.1:${port + 1}`
