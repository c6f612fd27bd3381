/** Talk checks, and what is decided about the rates learned from them. */
package app.korvel.studio.talk;
