/**
 * How fast a band is laid: within limits of speed, acceleration and jerk of each axis. Start at
 * {@link dev.oleander.winding.feed.AxisWay}.
 */
package dev.oleander.winding.feed;
