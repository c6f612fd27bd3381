/** The first prescription: intensity, duration, frequency and type, and what follows from them. */
package app.korvel.core.prescription;
