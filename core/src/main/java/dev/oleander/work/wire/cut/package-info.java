/**
 * What a plan of a wire is made of: visits with their cuts, rulings between both planes, start
 * holes, the values that hold. Start at {@link dev.oleander.work.wire.cut.WireVisit}.
 */
package dev.oleander.work.wire.cut;
