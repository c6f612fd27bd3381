/** Reserve, schemes of zones, what each point feels like, and how sure an edge is. */
package app.korvel.core.zone;
