export function installNginx(): string;
