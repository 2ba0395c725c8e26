/** What a router is, which tools it has, and how fast they go in what. */
package dev.oleander.work.router.book;
