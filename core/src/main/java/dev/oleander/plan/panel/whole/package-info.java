/**
 * What holds for all panels of a product together: which are alike, what is to be sawn and banded,
 * and whether their holes meet.
 */
package dev.oleander.plan.panel.whole;
