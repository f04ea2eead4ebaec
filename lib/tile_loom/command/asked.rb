# frozen_string_literal: true

module TileLoom
  module Command
    # The order that the options of a command come to: one of the book's own, or a form with its parts.
    class Asked
      def initialize(options, book)
        @options, @book = options, book
      end

      # An Output::Order; Refusal for what is none.
      def order
        given = @options[:saved] ? kept.given : {"form" => form}
        given =
          given.merge(
            {"sheets" => @options[:sheets], "ppi" => @options[:ppi], "file_name" => @options[:name]}.compact
          )
        finding = Document::Schema.part_findings("order", given, path: "").first
        raise finding if finding
        Output::Order.new(given)
      end

      # Output::Secrets, or nil.
      def secrets
        file = @options[:password_file] or return nil
        raise Refusal.new("command.no_such_file", file: file) unless File.file?(file)
        Output::Secrets.new(open: File.open(file, &:gets).to_s.chomp)
      end

      private

      def kept
        @book.orders.find { |order| order.name == @options[:saved] } or
          raise Refusal.new(
            "command.no_such_order",
            name: @options[:saved],
            known: @book.orders.map(&:name).join(", "),
            at: "--saved"
          )
      end

      def form
        kind = @options[:as] || "pdf_book"
        unless Output::Forms.all.key?(kind)
          raise Refusal.new("command.no_such_form", form: kind, known: Output::Forms.keys.join(", "), at: "--as")
        end
        @options[:set].each_with_object({"kind" => kind}) { |text, form| set(form, text) }
      end

      # "pdf.tagged=true": a member of a member, read as the schema has it: texts as they are, all else as JSON.
      def set(form, text)
        names, value = text.split("=", 2)
        raise Refusal.new("command.part_without_value", part: text, at: "--set") if value.nil?
        *outer, last = names.split(".")
        part = outer.reduce(form) { |found, name| found[name] ||= {} }
        part[last] = Document::Schema.text_at?("order", ["form", *outer, last], form["kind"]) ? value : json(value)
      end

      def json(text)
        JSON.parse(text)
      rescue JSON::ParserError
        text
      end
    end
  end
end
