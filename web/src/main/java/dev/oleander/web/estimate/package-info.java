/** What a job costs on every machine that could make it, side by side, and as a quote. */
package dev.oleander.web.estimate;
