/** The server's log: one line of JSON an event, on standard error, without pictures or names of students. */
import pino from 'pino';

export const log = pino({ level: process.env.OLDHAND_LOG ?? 'warn' }, pino.destination(2));
