/**
 * What a job is worked at with is a few large files, not two hundred small ones: all of it is fetched soon after a job opens,
 * and each file is a request, a parcel to unpack and a script to start. What only some want stays by itself: charts, and
 * pages beside the job.
 */
export const pageGroups = [
  {
    name: 'kit',
    test: /node_modules\/(react|react-dom|scheduler|react-router|zustand|@radix-ui|@floating-ui|@tanstack\/(react-query|query-core)|lucide-react|aria-hidden|react-remove-scroll)\//,
    priority: 3,
  },
  { name: 'core', test: /packages\/core\/src\//, priority: 2 },
  {
    name: 'job',
    test: /apps\/web\/src\/(assemblies|bench|bench-log|builds|document|evaluation|fields|figures|files|findings|help|job|lamp-room|search|slice|steps|view)\/(?!.*-chart\.)/,
    priority: 1,
  },
];
