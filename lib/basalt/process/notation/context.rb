# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # One process, or one system, in the middle and what stands around it.
      class Context < Flows
        def name = "context"
        def band = "Context"
        def things = %w[process party system store]
        def examples = ["process Leak response", "Caller gives leak report to Leak response", "Leak response gives job to Crew"]
        def chips = [%w[process p], [Kinds::OUTSIDER, "o"], %w[system y]]

        def lanes? = true

        def tidy(set, sheet_id, only: nil, crowded: [], **)
          things, lines = part(set, sheet_id, only)
          sizes = things.to_h { |thing| [thing.id, room(set, thing, lines.select { |line| line.endpoints.include?(thing.id) }, crowded)] }
          corners = Layout::Radial.call(sizes, lines.map(&:endpoints), root: middle(set, sheet_id, things, lines))
          corners.to_h { |id, (x, y)| [id, placed(set, id, x, y, sizes[id])] }
        end

        private

        # Room around a thing, so that what flows can be read beside it; more for each time that it could not.
        def room(set, thing, lines, crowded)
          longest = lines.flat_map { |line| labels(set, line).map(&:width) }.max || 0
          w, h = size(set, thing)
          times = lines.map { |line| crowded.count(line.id) }.max || 0
          [w + [longest * (0.8 + (times * 0.3)), 180 + (times * 100)].min, h + 50 + (times * 40)]
        end

        def placed(set, id, x, y, (wide, high))
          w, h = size(set, set.element(id))
          { x: (x + ((wide - w) / 2)).round, y: (y + ((high - h) / 2)).round, w:, h: }
        end

        def middle(set, sheet_id, things, lines)
          subject = set.sheets[sheet_id].subject_id
          return subject if things.any? { |thing| thing.id == subject }

          (
            things.find { |thing| thing.kind == "process" } ||
              things.select { |thing| thing.kind == "system" }.max_by { |thing| lines.count { |line| line.endpoints.include?(thing.id) } }
          )&.id
        end
      end
    end
  end
end
