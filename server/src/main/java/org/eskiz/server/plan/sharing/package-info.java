/** Links to a plan for people who do not belong to its workshop. */
@NullMarked
package org.eskiz.server.plan.sharing;

import org.jspecify.annotations.NullMarked;
