/**
 * Tests: from two minutes on a chair to a graded test on the treadmill. Who may, what came of it,
 * and how it compares with the same test before.
 */
package app.korvel.core.assessment;
