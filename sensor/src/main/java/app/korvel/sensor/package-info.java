/** What is worn or felt, and stand-ins for it: a simulated pulse to learn counting on. */
package app.korvel.sensor;
