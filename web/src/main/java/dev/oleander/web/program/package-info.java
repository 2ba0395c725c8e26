/** Programs from outside: read as their controller would, timed, drawn, compared with a release. */
package dev.oleander.web.program;
