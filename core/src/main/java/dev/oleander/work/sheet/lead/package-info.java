/**
 * Where a contour is begun: forms of leads, the room there is for them in scrap, the search for the
 * best place. Start at {@link dev.oleander.work.sheet.lead.LeadSearch}.
 */
package dev.oleander.work.sheet.lead;
