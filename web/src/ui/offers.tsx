import type { ReactNode } from "react";

/**
 * What a section offers beyond what it says, in one quiet row; what is unfolded of it stands above the row, at full width.
 */
export function Offers({ children }: { children: ReactNode }) {
  return (
    <div className="-mx-1 flex flex-wrap items-baseline gap-x-0.5 text-[14px] leading-[1.7] [&>button]:mx-0 [&>button]:border-transparent [&>button]:px-1 [&>button]:min-h-6 [&>button]:hover:border-hairline [&>span]:-order-1 [&>span]:basis-full [&>span]:px-1 [&>span]:text-[16.5px] [&>span]:leading-[1.85]">
      {children}
    </div>
  );
}
