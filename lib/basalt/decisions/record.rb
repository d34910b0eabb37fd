# frozen_string_literal: true

module Basalt
  module Decisions
    # Decisions as records in Markdown, both ways: a heading with number and title, then sections for status, context, options, decision
    # and consequences, as is customary since Nygard, "Documenting Architecture Decisions", 2011.
    module Record
      # Headings of sections, with others that mean the same.
      SECTIONS = {
        "status" => ["status"],
        "question" => ["context", "question", "problem", "context and problem statement"],
        "options" => ["options", "considered options", "alternatives"],
        "choice" => ["decision", "choice", "decision outcome"],
        "reason" => ["reason", "reasons", "rationale", "why"],
        "consequences" => ["consequences"]
      }.freeze
      TITLE = /\A#\s+(?:(?<name>[[:alnum:]][[:alnum:]._-]*?)[.:]\s+)?(?<title>.+?)\s*\z/
      SECTION = /\A\#{2,4}\s+(?<title>.+?)\s*\z/
      DATED = /\A(?:\*\*)?(?:date|dated)(?:\*\*)?:\s*(?<day>\S+)/i
      BY = /\A(?:\*\*)?(?:by|deciders?|decided by)(?:\*\*)?:\s*(?<who>.+?)\s*\z/i
      OPTION = /\A\s*[-*+]\s+(?:\*\*)?(?<name>.+?)(?:\*\*)?(?::\s*for:\s*(?<for>.*?))?(?:[;:]\s*against:\s*(?<against>.*?))?\s*\z/
      MOST = 2000
      # The title of what is open.
      OPEN = "Not decided yet"
      # What a record says; +line+ is where it begins.
      Read = Value.of(:line, :name, :title, :facts, :options, :replaces)

      module_function

      # @return [String] all decisions, the oldest first
      def all(set) = set.of_kind(Kinds::DECISION).map { |one| of(set, one) }.join("\n")

      # @return [String] one
      def of(set, decision)
        sections = [["Status", status(set, decision)], ["Context", decision["question"]], ["Options", options(set, decision)],
                    ["Decision", decision["choice"]], ["Reason", decision["reason"]], ["Consequences", decision["consequences"]]]
        said = sections.select { |_, text| text }.flat_map { |heading, text| ["## #{heading}", "", text, ""] }
        title = "# #{decision.name}: #{decision["choice"] || decision["question"] || OPEN}"
        [title, "", *about(decision), *said, *concerned(set, decision)].join("\n")
      end

      def about(decision)
        { "Date" => "dated", "By" => "who" }.flat_map { |word, fact| decision[fact] ? ["#{word}: #{decision[fact]}", ""] : [] }
      end

      # @return [String, nil]
      def status(set, decision)
        replaced = About.replaced(set, decision.id).map { |one| "replaced by #{one.name}" }
        earlier = About.earlier(set, decision.id).map { |one| "replaces #{one.name}" }
        words = [decision["status"], *replaced, *earlier].compact.join(", ")
        words.empty? ? nil : words[0].upcase + words[1..]
      end

      def options(set, decision)
        found = set.parts_of(decision.id).map { |one| option(one) }
        found.empty? ? nil : found.join("\n")
      end

      def option(one)
        said = %w[for against].filter_map { |word| "#{word}: #{one[word]}" if one[word] }
        "- **#{one.name}**#{": #{said.join("; ")}" if said.any?}"
      end

      def concerned(set, decision)
        names = About.of(set, decision.id).map { |one| About.title(set, one.target("thing")) }
        names.any? ? ["Concerns: #{names.join(", ")}", ""] : []
      end

      # @param text [String] Markdown of one record or several
      # @return [Array<Read>]
      # @raise [Mistake] where there is none
      def read(text)
        records = []
        text.each_line.with_index(1) { |line, number| take(records, line.chomp, number) }
        raise Mistake, "no line begins a record, as “# D1: What was chosen” does" if records.empty?
        raise Mistake, "#{records.length} records are more than #{MOST}" if records.length > MOST

        records.map { |record| made(record) }
      end

      def take(records, line, number)
        title = TITLE.match(line)
        return within(records.last, line) if title.nil? && records.any?

        records << begun(title, number) if title
      end

      def begun(title, number) =
        { line: number, name: title[:name], title: title[:title], section: nil, said: Hash.new { |all, section| all[section] = [] } }

      def within(record, line)
        if (found = SECTION.match(line))
          record[:section] = SECTIONS.find { |_, names| names.include?(found[:title].downcase) }&.first || :other
        elsif record[:section].nil? && (found = DATED.match(line) || BY.match(line))
          record.merge!(found.names.to_h { |name| [name.to_sym, found[name]] })
        elsif line.match?(/\AConcerns:\s/) then record[:section] = :other
        else record[:said][record[:section]] << line
        end
      end

      def made(record)
        said = record[:said].transform_values { |lines| lines.map(&:strip).reject(&:empty?).join(" ") }
        status = said["status"].to_s.downcase
        facts = { "question" => said["question"], "choice" => choice(record, said), "reason" => said["reason"],
                  "consequences" => said["consequences"], "dated" => record[:day], "who" => record[:who],
                  "status" => Kinds::STATES.find { |state| status.include?(state) } }
        Read.new(line: record[:line], name: record[:name], title: record[:title], facts: facts.reject { |_, value| value.to_s.empty? },
                 options: options_of(record), replaces: said["status"].to_s.scan(/(?:replaces|supersedes)\s+(\S+?)(?:[,.]|\s|\z)/i).flatten)
      end

      # The title says it where nothing else does.
      def choice(record, said)
        return said["choice"] if said["choice"]

        record[:title] unless [OPEN, said["question"]].include?(record[:title])
      end

      def options_of(record)
        record[:said]["options"].filter_map { |line| OPTION.match(line) }
          .map { |found| { "name" => found[:name].delete_suffix("**"), "for" => found[:for], "against" => found[:against] } }
      end
    end
  end
end
