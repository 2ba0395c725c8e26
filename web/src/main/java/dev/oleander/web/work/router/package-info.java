/** What pages, papers and the HTTP interface have for routers alone. */
package dev.oleander.web.work.router;
