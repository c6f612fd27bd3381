/** What has come of a client's training, over months. */
package app.korvel.studio.progress;
