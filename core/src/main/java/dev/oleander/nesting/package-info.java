/**
 * Parts of many jobs on sheets: where each lies, so that little is left over.
 *
 * <p>In: {@link dev.oleander.nesting.NestTask}, what is asked for and what there is. Out: {@link
 * dev.oleander.nesting.Nest}, sheets with places. Start at {@link
 * dev.oleander.nesting.search.Nester}; {@link dev.oleander.nesting.NestCheck} judges a result and
 * shares no code with the search.
 */
package dev.oleander.nesting;
