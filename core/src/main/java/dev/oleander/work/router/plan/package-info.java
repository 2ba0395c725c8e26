/** From operations to stops: tools, levels, ways, what they leave, and their order. */
package dev.oleander.work.router.plan;
