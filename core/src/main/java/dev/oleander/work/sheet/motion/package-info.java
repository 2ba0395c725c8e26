/**
 * The motion of a head over a sheet: the program of a run, what is written of it where the
 * controller offsets paths, and its times when only some stops changed.
 */
package dev.oleander.work.sheet.motion;
