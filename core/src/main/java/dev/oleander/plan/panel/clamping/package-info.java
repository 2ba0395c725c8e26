/**
 * How panels lie on a machine, what is done in which clamping, and why. Start at {@link
 * dev.oleander.plan.panel.clamping.ClampingPlanner}.
 */
package dev.oleander.plan.panel.clamping;
