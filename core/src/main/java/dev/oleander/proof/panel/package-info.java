/** The proof of panels: what all clampings take away, carried back and held against the panel. */
package dev.oleander.proof.panel;
