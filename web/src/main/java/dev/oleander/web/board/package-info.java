/** The board: one ticket per job, search, filters and the intake of drawings. */
package dev.oleander.web.board;
