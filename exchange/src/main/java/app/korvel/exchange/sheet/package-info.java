/**
 * What people carry or hang up: cards, charts and posters, each written once as a page and made
 * into a PDF of the same look.
 */
package app.korvel.exchange.sheet;
