// Lays out graphs given as JSON lines, and answers each with its layout and the time it took.
import ELK from "elkjs/lib/elk.bundled.js";
import { createInterface } from "node:readline";

const elk = new ELK();
for await (const line of createInterface({ input: process.stdin })) {
  const { nodes, edges } = JSON.parse(line);
  const graph = {
    id: "root",
    layoutOptions: { "elk.algorithm": "layered", "elk.edgeRouting": "ORTHOGONAL", "elk.direction": "DOWN", "elk.separateConnectedComponents": "true" },
    children: nodes.map(([id, width, height]) => ({ id, width, height })),
    edges: edges.map(([id, from, to]) => ({ id, sources: [from], targets: [to] })),
  };
  const start = performance.now();
  const laid = await elk.layout(graph);
  const ms = performance.now() - start;
  const boxes = laid.children.map((node) => [node.id, node.x, node.y, node.width, node.height]);
  const routes = laid.edges.map((edge) => [edge.id, edge.sections.flatMap((s) => [s.startPoint, ...(s.bendPoints ?? []), s.endPoint]).map((p) => [p.x, p.y])]);
  console.log(JSON.stringify({ ms, boxes, routes }));
}
