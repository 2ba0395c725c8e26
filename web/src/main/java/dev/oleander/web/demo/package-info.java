/** Demo data: the jobs of Gannet Slip, a small boatyard. */
package dev.oleander.web.demo;
