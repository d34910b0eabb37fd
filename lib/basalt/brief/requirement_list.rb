# frozen_string_literal: true

module Basalt
  module Brief
    # Requirements as CSV and as Markdown, both ways.
    module RequirementList
      HEADINGS = %w[number text type priority state source owner group].freeze
      FACTS = HEADINGS.drop(1).freeze
      ITEM = /\A\s*[-*+]\s+\**(?<number>[[:alnum:]][[:alnum:]._-]*)\**\s*[:.–-]\s*\**\s*(?<text>.+?)\s*\z/
      HEADING = /\A\#{1,6}\s+(?<group>.+?)\s*\z/

      module_function

      def csv(set) =
        Formats::CSV.write([HEADINGS, *Coverage.new(set).requirements.map { |one| [one.name, *FACTS.map { |fact| one[fact] }] }])

      # @return [String] a list under a heading for each group
      def markdown(set)
        Coverage
          .new(set)
          .requirements
          .group_by { |one| one["group"] || "Requirements" }
          .map { |group, list| "## #{group}\n\n#{list.map { |one| item(one) }.join("\n")}\n" }
          .join("\n")
      end

      def item(one)
        facts = [one["priority"], one["state"]].compact
        "- **#{one.name}**: #{one["text"]}#{" (#{facts.join(", ")})" if facts.any?}"
      end

      # Takes requirements in: what is known by its number is altered, the others are new.
      #
      # @param rows [Array<Hash{String => String}>]
      # @return [Integer] how many
      def into(draft, rows, sheet_id: nil)
        rows.count { |row| take(draft, row, sheet_id) }
      end

      def take(draft, row, sheet_id)
        number = row["number"].to_s.empty? ? Satisfaction.next_number(draft) : Model::Names.clean(row["number"])
        known =
          draft.named(number, "requirement").first || Change::Add.new(kind: "requirement", name: number).apply(draft)
        FACTS.each { |fact| draft.apply(Change::Set.new(id: known.id, fact:, value: row[fact])) unless row[fact].to_s.empty? }
        Change::Show.new(sheet_id:, element_id: known.id).apply(draft) if sheet_id
        true
      rescue Model::BadFact => e
        raise Mistake, "#{row["line"] ? "line #{row["line"]}" : number}: #{e.message}"
      end

      # @param table [Formats::CSV]
      # @return [Array<Hash>]
      # @raise [Mistake] where the text has no column
      def rows(table)
        places = HEADINGS.to_h { |heading| [heading, table.headings.index { |one| one.to_s.strip.casecmp?(heading) }] }.compact
        raise Mistake, "the table has no column “text”; it may have #{English.list(HEADINGS)}" unless places.key?("text")

        table
          .rows
          .map { |row| places.transform_values { |index| Formats::CSV.meant(row.cells[index]) }.merge("line" => row.line) }
          .reject { |row| row["text"].to_s.empty? }
      end

      # @param text [String] Markdown: headings are groups, items begin with a number
      # @return [Array<Hash>]
      # @raise [Mistake] where it holds no such item
      def items(text)
        group = nil
        found =
          text
            .each_line
            .with_index(1)
            .filter_map do |line, number|
              group = $~[:group] if HEADING.match(line.chomp)
              if ITEM.match(line.chomp)
                { "number" => $~[:number], "text" => $~[:text], "group" => group == "Requirements" ? nil : group, "line" => number }
              end
            end
        raise Mistake, "no line begins as “- R1: what is asked for”" if found.empty?

        found.map { |row| parted(row) }
      end

      # "(must, agreed)" at the end tells priority and state.
      def parted(row)
        match = row["text"].match(/\s*\((?<facts>[a-z, ]+)\)\z/) or return row
        words = match[:facts].split(",").map(&:strip)
        return row unless words.all? { |word| (Kinds::PRIORITIES + Kinds::STATES).include?(word) }

        row.merge("text" => match.pre_match, "priority" => (words & Kinds::PRIORITIES).first, "state" => (words & Kinds::STATES).first)
      end
    end
  end
end
