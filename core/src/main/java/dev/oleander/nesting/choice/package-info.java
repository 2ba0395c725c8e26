/** What people decide about a nest: parts, sheets, distances, and what lies where. */
package dev.oleander.nesting.choice;
