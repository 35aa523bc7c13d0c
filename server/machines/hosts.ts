/** Hosts that this server may call, out of its settings: `erp.example, 10.1.2.3:8080`. */
export const hostsIn = (setting: string | undefined): string[] =>
  (setting ?? '')
    .split(',')
    .map((host) => host.trim().toLowerCase())
    .filter((host) => host !== '');

/** Whether an address is on one of them: by its name alone on the usual port, or with its port. */
export function isCallable(address: string, hosts: readonly string[]): boolean {
  const { host, protocol, username, password } = new URL(address);
  return /^https?:$/.test(protocol) && username === '' && password === '' && hosts.includes(host);
}
