/**
 * Panels with work on up to six faces, and products made of them: sizes in mm, faces as seen from
 * outside. {@code file} reads and writes them, {@code clamping} decides how they lie on a machine,
 * {@code whole} tells what holds for all panels of a product together. Start at {@link
 * dev.oleander.plan.panel.Panel}.
 */
package dev.oleander.plan.panel;
