import { randomBytes } from 'node:crypto';
import mysql from 'mysql2/promise';
import { inject } from 'vitest';

/** An empty database of its own in the one MariaDB of all tests; `stop` takes it out. */
export async function freshDatabase(): Promise<{ url: string; stop: () => Promise<void> }> {
	const url = new URL(inject('mariadbUrl'));
	const name = `app_${randomBytes(6).toString('hex')}`;
	const connection = await mysql.createConnection(url.href);
	await connection.query(`create database ${name} character set utf8mb4 collate utf8mb4_unicode_ci`);
	await connection.end();
	url.pathname = `/${name}`;
	return {
		url: url.href,
		stop: async () => {
			const last = await mysql.createConnection(url.href);
			await last.query(`drop database ${name}`);
			await last.end();
		}
	};
}
