# frozen_string_literal: true

require "strscan"

module TileLoom
  module Sandbox
    # A definition in SQL, parted as SQLite's own tokenizer parts it (sqlite.org/lang_keywords.html, lang_comment.html,
    # tokenize.c): what begins first holds until its own end, so that a quotation mark in a comment, or a comment in a
    # quoted name, is what SQLite takes it for.
    class SqlTokens
      # A kind, and the text: of a :word in lower case; of a :name without its quotes; of a :text without; :number;
      # :sign.
      Token =
        Struct.new(:kind, :text) do
          def word?(*words) = kind == :word && words.include?(text)

          def sign?(sign) = kind == :sign && text == sign

          # Could it name a table?
          def name? = %i[word name text].include?(kind)
        end

      # What SQLite itself would not take.
      class Unreadable < StandardError
      end

      QUOTES = {"'" => :text, '"' => :name, "`" => :name}.freeze

      def initialize(sql) = @scanner = StringScanner.new(sql)

      # Token list; Unreadable for a quotation or a bracket without its end.
      def list
        found = []
        until @scanner.eos?
          token = self.next
          found << token if token
        end
        found
      end

      private

      # nil for blanks and comments.
      def next
        return nil if @scanner.skip(/[\s\0]+/) || @scanner.skip(/--[^\n]*/)
        return comment if @scanner.skip(%r{/\*})
        return quoted(@scanner.getch) if @scanner.check(/['"`]/)
        return Token.new(:name, ended(/([^\]]*)\]/)) if @scanner.skip(/\[/)
        return Token.new(:number, @scanner.matched) if @scanner.skip(/\d[\w.]*/)
        if @scanner.skip(/[A-Za-z_\u0080-\u{10ffff}][\w$\u0080-\u{10ffff}]*/)
          return Token.new(:word, @scanner.matched.downcase)
        end
        Token.new(:sign, @scanner.getch)
      end

      # One without its end goes to the end of the text, for SQLite too.
      def comment
        @scanner.skip_until(%r{\*/}) || @scanner.terminate
        nil
      end

      # A doubled quotation mark stands for itself.
      def quoted(mark) =
        Token.new(QUOTES.fetch(mark), ended(/((?:[^#{mark}]|#{mark}#{mark})*)#{mark}/).gsub(mark * 2, mark))

      def ended(pattern)
        raise Unreadable unless @scanner.scan(pattern)
        @scanner[1]
      end
    end
  end
end
