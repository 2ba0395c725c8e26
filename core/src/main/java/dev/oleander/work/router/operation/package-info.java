/** What a router is to do: operations on features of a drawing, as people wish them. */
package dev.oleander.work.router.operation;
