/**
 * Recordings of the heart rate in open formats, in and out: GPX 1.1, CSV, FHIR R4 and Korvel's own
 * JSON. They are read as they stream in, and nothing of the person in them is read.
 */
package app.korvel.exchange.recording;
