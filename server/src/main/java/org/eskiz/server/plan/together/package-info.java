/** Several people at one plan: who has it open, and what each of them saves, told as it happens and across servers. */
@NullMarked
package org.eskiz.server.plan.together;

import org.jspecify.annotations.NullMarked;
