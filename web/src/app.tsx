import { lazy, Suspense } from "react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { createBrowserRouter, RouterProvider } from "react-router";
import { Toaster } from "sonner";
import { Waiting } from "@/ui/waiting";
import { NowhereScreen } from "@/wall/nowhereScreen";
import { WallScreen } from "@/wall/wallScreen";

const DeskScreen = lazy(() => import("@/desk/deskScreen"));

const ShelfScreen = lazy(() => import("@/shelf/shelfScreen"));

const BeginScreen = lazy(() => import("@/begin/beginScreen"));

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 5_000 } } });

const router = createBrowserRouter([
  { path: "/", element: <WallScreen /> },
  {
    path: "/designs/:id",
    element: (
      <Suspense fallback={<Waiting what="Opening the desk" />}>
        <DeskScreen />
      </Suspense>
    ),
    // The desk and the workshops of a design are screens of one opened design.
    children: [
      { index: true, element: <></> },
      { path: "print", element: <></> },
      { path: "cut", element: <></> },
      { path: "stitch", element: <></> },
      { path: "solid", element: <></> },
      { path: "compare", element: <></> },
    ],
  },
  {
    path: "/new",
    element: (
      <Suspense fallback={<Waiting what="Laying out the sheets" />}>
        <BeginScreen />
      </Suspense>
    ),
  },
  {
    path: "/shelf",
    element: (
      <Suspense fallback={<Waiting what="Opening the shelf" />}>
        <ShelfScreen />
      </Suspense>
    ),
  },
  { path: "*", element: <NowhereScreen /> },
]);

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Toaster position="bottom-center" toastOptions={{ className: "!font-sans !text-[15px] !rounded-md" }} />
    </QueryClientProvider>
  );
}
