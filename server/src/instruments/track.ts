/** A walk around the made-up lower trail, recorded by us: a place about every hundred metres. */
export const TRACK: readonly { latitude: number; longitude: number; elevation: number }[] = [
  { latitude: 47.6, longitude: -116.4, elevation: 780 },
  { latitude: 47.6004, longitude: -116.3988, elevation: 781 },
  { latitude: 47.6009, longitude: -116.3977, elevation: 784 },
  { latitude: 47.6016, longitude: -116.3971, elevation: 788 },
  { latitude: 47.6022, longitude: -116.398, elevation: 790 },
  { latitude: 47.6024, longitude: -116.3995, elevation: 788 },
  { latitude: 47.6019, longitude: -116.4007, elevation: 785 },
  { latitude: 47.601, longitude: -116.4011, elevation: 782 },
  { latitude: 47.6003, longitude: -116.4006, elevation: 780 },
];
