# frozen_string_literal: true

module CommandLine
  # Finds the command that was asked for and runs it.
  module Main
    COMMANDS = { "start" => "Start", "check" => "Check", "read" => "Read", "draw" => "Draw", "import" => "Import", "convert" => "Convert",
                 "derive" => "Derive", "sql" => "Sql",
                 "coverage" => "Coverage", "context" => "Context" }.freeze

    module_function

    # @return [Integer] exit status
    def run(arguments, out: $stdout, err: $stderr)
      name, *rest = arguments
      return help(out) if name.nil? || %w[--help -h help].include?(name)
      return unknown(name, err) unless COMMANDS.key?(name)

      CommandLine.const_get(COMMANDS[name]).new(rest, out:, err:).run
    rescue OptionParser::ParseError => e
      err.puts "basalt #{name}: #{e.message}", "See bin/basalt #{name} --help"
      2
    rescue Basalt::Mistake => e
      err.puts e.message
      2
    end

    def help(out)
      out.puts "Usage: bin/basalt COMMAND", ""
      COMMANDS.each_value do |name|
        command = CommandLine.const_get(name)
        out.puts "  #{command::USAGE}", "      #{command::SUMMARY}"
      end
      out.puts "", "  bin/basalt COMMAND --help tells more."
      0
    end

    def unknown(name, err)
      err.puts "There is no command “#{Basalt::Model::Names.short(name)}”.", "Commands: #{COMMANDS.keys.join(', ')}"
      2
    end
  end
end
