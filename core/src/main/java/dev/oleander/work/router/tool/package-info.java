/**
 * Tools of a router, and how they cut: their form from the side, speeds and feeds, forces, levels.
 * In: a {@link dev.oleander.work.router.tool.Tool}, data of the book. Out: {@link
 * dev.oleander.work.router.tool.Feeds}.
 */
package dev.oleander.work.router.tool;
