/** Field tests of the maximum: who may, the run as a series of events, and what it was worth. */
package app.korvel.core.fieldtest;
