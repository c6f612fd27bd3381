/** Who the client is and what that allows: the intake, and whether exercise may be prescribed. */
package app.korvel.core.screening;
