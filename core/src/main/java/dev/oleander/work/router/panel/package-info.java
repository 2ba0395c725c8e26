/**
 * Panels on a router: what is done in a clamping, by rules. In: a panel and how it lies. Out: a
 * drawing with operations. Start at {@link dev.oleander.work.router.panel.PanelJobs}.
 */
package dev.oleander.work.router.panel;
