/** Numbers that the shop gives only once. */
package dev.oleander.web.counter;
