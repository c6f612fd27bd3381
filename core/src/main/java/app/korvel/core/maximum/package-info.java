/** The maximum heart rate: every equation side by side, and the one that is taken by rule. */
package app.korvel.core.maximum;
