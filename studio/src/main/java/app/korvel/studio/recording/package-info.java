/** Recordings of clients' own devices: brought in, looked at, kept, compared, and taken back. */
package app.korvel.studio.recording;
