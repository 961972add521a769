import { useEffect, useRef } from "react";

interface BitmapProps {
  readonly picture: ImageBitmap | undefined;
  readonly width: number;
  readonly height: number;
  readonly className?: string;
  readonly ground?: string;
}

/** A picture made in a worker. */
export function Bitmap({ picture, width, height, className = "", ground }: BitmapProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context || !picture) return;
    context.clearRect(0, 0, width, height);
    context.drawImage(picture, 0, 0);
  }, [picture, width, height]);
  return (
    <canvas
      ref={canvas}
      width={width}
      height={height}
      data-shown={picture ? "yes" : "no"}
      className={className}
      style={ground === undefined ? undefined : { background: ground }}
    />
  );
}
