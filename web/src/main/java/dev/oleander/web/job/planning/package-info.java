/** Plans and proofs on their way: who waits for them, what is made by which node, what stops. */
package dev.oleander.web.job.planning;
