/**
 * Values that people set, each told of in one place: its word, what it is called, unit, limits, how
 * it is read and kept, where what holds comes from. Forms, the HTTP interface, recipes and
 * sentences of refusal are made from the same {@link dev.oleander.value.Value}.
 *
 * <p>In goes what somebody typed ({@link dev.oleander.value.Entry}) and what was set before; out
 * comes what is set then, or a {@link dev.oleander.value.ValueException} with a sentence. A kind of
 * work lists its values in tables; begin with those.
 */
package dev.oleander.value;
