/** What a session is made of: warm-up, steps, cool-down, and the limits that hold for them. */
package app.korvel.core.outline;
