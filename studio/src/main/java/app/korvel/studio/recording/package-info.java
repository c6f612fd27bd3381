/** Recordings of clients' own devices: brought in, looked at, kept, compared, and withdrawn. */
package app.korvel.studio.recording;
