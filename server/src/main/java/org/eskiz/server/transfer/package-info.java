/**
 * Plans and whole workspaces that travel: one JSON file with everything that is needed, with a published schema and a version.
 *
 * <p>A file is read strictly, judged part by part against what is here, and taken in one transaction or not at all. Where a part
 * says something else than what goes by the same id, key or label here, nobody decides but the operator: keep mine, take
 * theirs, or have both. Each feature writes and reads its own parts; this package only carries them.
 *
 * <p>Not in a file: what plans, cable types and tests said before (their revisions). A backup has those.
 */
package org.eskiz.server.transfer;
