/** Tests: opened, run event by event, closed, and what they feed. */
package app.korvel.studio.assessment;
