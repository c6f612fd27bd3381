/** Talk checks, and the talk rates of one client and one activity that are learned from them. */
package app.korvel.core.talk;
