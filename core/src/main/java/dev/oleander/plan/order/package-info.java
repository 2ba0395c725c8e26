/**
 * The order of stops as a problem of its own: places where work begins and ends, what must come
 * before what, and the time of travels in between. In: an {@link
 * dev.oleander.plan.order.OrderProblem} and some permitted order. Out: a permitted order that takes
 * less time. Start at {@link dev.oleander.plan.order.OrderOptimiser}.
 */
package dev.oleander.plan.order;
