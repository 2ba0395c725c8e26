/**
 * What making parts costs, before anything is released: on every machine that can cut them, and
 * punched. Start at {@link dev.oleander.price.Estimator}.
 */
package dev.oleander.price;
