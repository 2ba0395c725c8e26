/** What a router's program does, judged by its moves alone. */
package dev.oleander.work.router.proof;
