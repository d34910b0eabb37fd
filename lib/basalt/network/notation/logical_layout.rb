# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Tidies a logical network: the outside above, then tiers of routers, buses and what
      # stands between them; things on one subnet only hang beneath its bus.
      class LogicalLayout
        COLUMN_GAP = 24
        DROP = 64
        ROW_GAP = 40
        SPINE = 22
        LANE = 22
        LOOP = 40
        ABOVE = ["router", "firewall", "load balancer", "modem"].freeze

        # The hosts of a subnet in rows, each beneath a line of the bus.
        Block = Value.of(:w, :h, :rails, :lanes, :column, :columns, :hosts)

        # How wide a level may be, as shares of all things side by side: what is tried on sheets of so many things.
        SHARES = [0.2, 0.32].freeze
        MOST_TRIED = 70

        # @param things [Array<Model::Element>]
        # @param lines [Array<Model::Element>] among them
        # @param sizes [Hash{String => Array(Numeric, Numeric)}] of those whose size is given
        def initialize(notation, set, things, lines, sizes = {})
          @notation = notation
          @set = set
          @sizes = sizes
          @things = things
          loops, @lines = lines.partition { |line| line.endpoints.then { |one, other| one == other } }
          @loops = loops.to_set { |line| line.targets.first }
          @lines_of =
            @lines.each_with_object(Hash.new { |hash, key| hash[key] = [] }) do |line, table|
              line.endpoints.each { |id| table[id] << line }
            end
        end

        # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
        def placements
          hosts, inner = @things.partition { |thing| host?(thing) }
          @hosts = hosts.group_by { |thing| @lines_of[thing.id].first.target("subnet") }
          hanging = hosts.to_set { |thing| @lines_of[thing.id].first.id }
          @between = @lines.reject { |line| hanging.include?(line.id) }
          joined, loose = inner.partition { |thing| @lines_of[thing.id].any? || @hosts.key?(thing.id) }
          @levels = Tiers.new(@set, joined, @between).levels
          @plan = plan(joined.map { |thing| node(thing) })
          laid = joined.each_with_object({}) { |thing, found| put(thing, found) }
          routes(laid)
          loose(loose, laid)
        end

        private

        # Of several widths that which fits the paper best with the fewest crossings and bends.
        def plan(nodes)
          all = nodes.sum { |node| node.w + Layout::Layered::GAP }
          shares = nodes.length.between?(8, MOST_TRIED) ? SHARES : []
          found =
            [nil, *shares.map { |share| all * share }]
              .map { |widest| Layout::Layered.new(nodes, edges, widest:, strip: @notation.strip) }
              .uniq(&:given)
              .map(&:plan)
          found.one? ? found.first : found.min_by { |plan| cost(plan, nodes) }
        end

        def cost(plan, nodes)
          boxes =
            nodes.to_h { |node| plan.corners.fetch(node.id).then { |x, y| [node.id, Layout::Box.new(x:, y:, w: node.w, h: node.h)] } }
          Layout::Quality.new(
            boxes,
            edges.filter_map { |edge| plan.routes[edge.id]&.then { |points| [edge.from, edge.to, points] } }
          ).cost
        end

        def host?(thing)
          lines = @lines_of[thing.id]
          unless thing.kind == "device" && lines.one? && lines.first.kind == "attachment" &&
                 @set.element(lines.first.target("subnet")).kind == "subnet"
            return false
          end

          !@sizes.key?(thing.id) && !ABOVE.include?(thing["role"]) && !@loops.include?(thing.id)
        end

        def edges
          @edges ||= @between.map { |line| edge(line) }
        end

        def edge(line)
          rooms = rooms(line)
          Layout::Edge.new(
            id: line.id,
            from: line.targets[0],
            to: line.targets[1],
            from_room: rooms.fetch(line.ends[0].role, 0),
            to_room: rooms.fetch(line.ends[1].role, 0),
            middle: rooms.fetch("middle", 0)
          )
        end

        def edges_of(id)
          @edges_of ||=
            edges.each_with_object(Hash.new { |hash, key| hash[key] = [] }) do |edge, found|
              [edge.from, edge.to].uniq.each { |one| found[one] << edge }
            end
          @edges_of.fetch(id, [])
        end

        # A line that ends inside a boundary has its labels there.
        def rooms(line)
          line.targets.any? { |id| @sizes.key?(id) } ? {} : @notation.labels(@set, line).to_h { |label| [label.role, label.width] }
        end

        def size(thing) = @sizes[thing.id] || measured(thing)
        def measured(thing) = (@measured ||= {})[thing.id] ||= @notation.size(@set, thing)

        def node(thing)
          return bus_node(thing) if thing.kind == "subnet"

          w, h = slab_size(thing)
          loop = @loops.include?(thing.id) ? LOOP : 0
          Layout::Node.box(thing.id, w, h, @levels[thing.id]).with(w: w + loop, beside: loop.zero?)
        end

        # Wide enough for the labels of the lines that end at it.
        def slab_size(thing) = (@slab_sizes ||= {})[thing.id] ||= with_room(thing)

        def with_room(thing)
          w, h = size(thing)
          sides = edges_of(thing.id).group_by { |edge| side(edge, thing.id) }
          needed = sides.values.map { |lines| lines.sum { |edge| [edge.room(thing.id) + 8, Layout::Layered::PITCH].max } + 28 }.max || 0
          [[w, needed].max.ceil, h]
        end

        def side(edge, id)
          other = edge.from == id ? edge.to : edge.from
          @levels[other] > @levels[id] ? :bottom : :top
        end

        def bus_node(subnet)
          block = blocks[subnet.id]
          label = Bus.label_width(subnet)
          Layout::Node.new(
            id: subnet.id,
            w: block.w,
            h: block.h,
            level: @levels[subnet.id],
            beside: false,
            rise: Bus::LABEL_RISE + 4,
            top: Layout::Surface.new(from: label + 12, to: block.w - 6, y: 0),
            bottom: Layout::Surface.new(from: block.w - (block.lanes * LANE), to: block.w - 6, y: block.rails.last)
          )
        end

        def blocks
          @blocks ||= @things.select { |thing| thing.kind == "subnet" }.to_h { |subnet| [subnet.id, block(subnet)] }
        end

        def block(subnet)
          hosts = @hosts.fetch(subnet.id, []).sort_by { |host| rank(host) }
          columns = [hosts.length <= 6 ? hosts.length : Math.sqrt(hosts.length * 2.2).ceil, 1].max
          column = (hosts.map { |host| measured(host)[0] }.max || 0) + COLUMN_GAP
          rows = [(hosts.length / columns.to_f).ceil, 1].max
          lanes = edges_of(subnet.id).count { |edge| below?(edge, subnet.id) }
          tops = edges_of(subnet.id).length - lanes
          last = hosts.empty? ? 0 : hosts.length - ((rows - 1) * columns)
          width = [
            SPINE + (columns * column),
            SPINE + (last * column) + (lanes * LANE) + 12,
            Bus.label_width(subnet) + 40 + (tops * Layout::Layered::PITCH * 2)
          ].max
          Block.new(
            w: hosts.empty? ? [width - column, 200].max.ceil : width.ceil,
            h: height(hosts, rows),
            lanes:,
            column:,
            columns:,
            hosts:,
            rails: Array.new(rows) { |row| row * row_height }
          )
        end

        def row_height = DROP + Drawing::Slab::HEIGHT + ROW_GAP
        def height(hosts, rows) = hosts.empty? ? Bus::THICK : ((rows - 1) * row_height) + DROP + Drawing::Slab::HEIGHT

        # By address where there is one, then in order of making.
        def rank(host)
          address = @lines_of[host.id].first["address"]
          [address ? 0 : 1, address ? Addresses.address(address).number : 0, host.ordinal]
        end

        # Lines to the same or a lower tier may end at the bus from below.
        def below?(edge, id)
          other = edge.from == id ? edge.to : edge.from
          @levels[other] >= @levels[id]
        end

        def put(thing, laid)
          x, y = @plan.corners.fetch(thing.id)
          return put_bus(thing, x, y, laid) if thing.kind == "subnet"

          w, h = slab_size(thing)
          laid[thing.id] = { x:, y:, w:, h: }
        end

        def put_bus(subnet, x, y, laid)
          block = blocks[subnet.id]
          laid[subnet.id] = { x:, y:, w: block.w, h: block.h, shape: { "rails" => block.rails } }
          block.hosts.each_with_index { |host, index| put_host(host, index, block, x, y, laid) }
        end

        def put_host(host, index, block, x, y, laid)
          w, h = measured(host)
          row, column = index.divmod(block.columns)
          left = x + SPINE + (column * block.column) + ((block.column - COLUMN_GAP - w) / 2)
          rail = y + block.rails[row]
          laid[host.id] = { x: left.round, y: rail + DROP, w:, h: }
          middle = left.round + (w / 2)
          laid[@lines_of[host.id].first.id] = { route: { "points" => [[middle, rail + DROP], [middle, rail]] } }
        end

        def routes(laid)
          @plan.routes.each { |id, points| laid[id] = { route: { "points" => points } } }
        end

        def loose(things, laid)
          bottom = laid.values.filter_map { |to| to[:y] && (to[:y] + to[:h]) }.max
          width = [laid.values.filter_map { |to| to[:x] && (to[:x] + to[:w]) }.max || 0, 720].max
          x = row = 0
          y = bottom ? bottom + 70 : 40
          things.each do |thing|
            w, h = size(thing)
            x, y, row = 0, y + row + 50, 0 if x.positive? && x + w > width
            row = [row, h].max
            laid[thing.id] = { x:, y: thing.kind == "subnet" ? y + 20 : y, w:, h: }
            x += w + Layout::Layered::GAP
          end
          laid
        end
      end
    end
  end
end
