/**
 * The server: HTTP in packages by feature with the core's names, wiring, and demo data. Controllers
 * are thin: parse, call, answer.
 */
package app.korvel.server;
