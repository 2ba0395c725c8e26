/** Ways of a rotating tool in depth: levels, ramps, tabs, rounds of a pocket, holes. */
package dev.oleander.work.router.way;
