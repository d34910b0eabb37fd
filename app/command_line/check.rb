# frozen_string_literal: true

require "json"

module CommandLine
  # Tells the findings of a file.
  class Check < Command
    USAGE = "bin/basalt check FILE.basalt [--json]"
    SUMMARY = "Findings; exits with 1 when one is an error, with 2 when the file cannot be read."

    def describe(parser)
      super
      parser.on("--json", "tell them as JSON") { options[:json] = true }
    end

    private

    def act
      set = model
      verdict = Basalt::Checks::FindingsByWaiver.new(set, Basalt::Checks::Runner.new(set).findings)
      findings = verdict.open
      rows = findings.map { |finding| row(set, finding) }
      if options[:json]
        out.puts(
          JSON.pretty_generate(
            findings: rows,
            let_stand: verdict.waived.map { |finding| row(set, finding).merge(reason: verdict.waivers[finding].reason) }
          )
        )
      else
        tell(rows)
      end
      out.puts "#{Basalt::English.count(verdict.waived.length, "finding")} let stand." if verdict.waived.any? && !options[:json]
      findings.any?(&:error?) ? 1 : 0
    end

    def row(set, finding)
      {
        id: finding.id,
        severity: finding.severity,
        sheet: Basalt::Checks::Runner.sheet_of(set, finding)&.name,
        subjects: subjects(set, finding),
        message: finding.message,
        why: finding.why,
        repair: finding.repair&.label
      }
    end

    # A relation is named by the things at its ends.
    def subjects(set, finding)
      finding
        .subjects
        .flat_map { |id| set.element(id).then { |e| e.relation? ? e.targets.map { |target| set.element(target).name } : [e.name] } }
        .uniq
    end

    def tell(rows)
      return out.puts("Nothing found.") if rows.empty?

      rows
        .group_by { |row| row[:sheet] }
        .each do |sheet, found|
          out.puts sheet || "In the model, on no sheet"
          found.each do |row|
            out.puts "  #{row[:severity]}: #{row[:message]} (#{row[:id]})", "      #{row[:why]}"
            out.puts "      repair: #{row[:repair]}" if row[:repair]
          end
        end
    end
  end
end
