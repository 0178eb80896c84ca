import { takenStore } from './takenStore.ts';

const fromServer = (stationId: string): string => `/api/sit/stations/${stationId}/drawing.svg`;

/** Pictures of stations, ready to be shown: read from the phone once, and drawn before they are asked for. */
class PictureShelf {
  private readonly urls = new Map<string, string>();
  /** Pictures that were drawn ahead: held, so that the browser does not draw them anew. */
  private readonly drawn = new Map<string, HTMLImageElement>();

  /** Address of a picture that was read before. */
  ready(stationId: string): string | undefined {
    return this.urls.get(stationId);
  }

  /** Address of a picture: of what the phone has along, else the server's. */
  async url(stationId: string): Promise<string> {
    const held = await (await takenStore())?.picture(stationId).catch(() => undefined);
    const known = this.urls.get(stationId);
    if (known || !held) return known ?? fromServer(stationId);
    const url = URL.createObjectURL(held);
    this.urls.set(stationId, url);
    return url;
  }

  /** Draws a picture ahead, where the phone has it. */
  async decode(stationId: string): Promise<void> {
    const url = await this.url(stationId);
    if (this.drawn.has(stationId) || !this.urls.has(stationId)) return;
    const image = new Image();
    image.src = url;
    this.drawn.set(stationId, image);
    await image.decode().catch(() => undefined);
  }
}

export const pictureShelf = new PictureShelf();
