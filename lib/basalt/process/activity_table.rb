# frozen_string_literal: true

module Basalt
  module Process
    # The activity table as CSV, both ways.
    module ActivityTable
      HEADINGS = %w[who does processing gives to when within].freeze
      NEEDED = %w[who does].freeze

      module_function

      # @param rows [Array<Model::Element>] activities in order
      # @return [String]
      def csv(set, rows)
        Formats::CSV.write(
          [
            HEADINGS,
            *rows.map do |row|
              who, to, within = [row.target("who"), Acts.receiver(row), row.container_id].map { |id| id && set.element(id).name }
              [who, row.name, row["processing"] ? "yes" : "", row["gives"], to, row["occasion"], within]
            end
          ]
        )
      end

      # Adds the rows of a table to a sheet, behind those that are there.
      #
      # @param table [Formats::CSV]
      # @return [Integer] how many
      # @raise [Mistake] naming what lacks, and nothing is taken
      def into(draft, table, sheet_id)
        places = columns(table.headings)
        context = Statements::Context.new(draft, sheet_id:)
        table.rows.count { |row| take(context, places.transform_values { |index| Formats::CSV.meant(row.cells[index]) }, row.line) }
      end

      # @return [Hash{String => Integer}] where each heading stands
      def columns(headings)
        known = HEADINGS.to_h { |heading| [heading, headings.index { |one| one.to_s.strip.casecmp?(heading) }] }.compact
        missing = NEEDED - known.keys
        if missing.any?
          raise Mistake,
                "the table has no column #{English.list(missing.map { |one|
                  "“#{one}”"
                })}; it needs #{English.list(NEEDED)}, and may have " \
"#{English.list(HEADINGS - NEEDED)}"
        end

        known
      end

      def take(context, cells, line)
        return false if cells.values.all?(&:empty?)
        if NEEDED.any? { |one| cells[one].empty? }
          raise Mistake, "line #{line}: #{cells["who"].empty? ? "nobody is named who does it" : "it does not say what is done"}"
        end

        who = doer(context, cells["who"])
        to = cells["to"].to_s.empty? ? who : doer(context, cells["to"])
        facts =
          { "gives" => cells["gives"], "occasion" => cells["when"], "processing" => cells["processing"] }.reject do |_, value|
            value.to_s.empty?
          end
        row =
          context.add(
            "activity",
            name: cells["does"],
            facts:,
            ends: [["who", who.id], ["to", to.id]],
            container_id: within(context, cells["within"])&.id
          )
        !row.nil?
      rescue Model::BadFact => e
        raise Mistake, "line #{line}: #{e.message}"
      end

      def doer(context, name)
        found =
          context.find(Model::Names.clean(name), %w[party system]).first ||
          context.add("party", name:, facts: { "standing" => Kinds::ROLE })
        context.show(found)
        found
      end

      # A process that the rows are grouped into; it is made where it is not there.
      def within(context, name)
        return if name.to_s.empty?

        around = context.sheet&.subject_id
        context.find(Model::Names.clean(name), ["process"]).first ||
          context.add("process", name:, container_id: around && context.draft.element(around)&.kind == "process" ? around : nil)
      end
    end
  end
end
