/** What has come of it: weeks as they were trained, and changes that are no noise. */
package app.korvel.core.progress;
