/** What anybody did: written down where no other row says it, and read from everywhere. */
package dev.oleander.web.trail;
