const ts=require("typescript"),fs=require("fs"),path=require("path");
const K=ts.SyntaxKind;
const EXCL=new Set(["Idempotency-Key","Entered-Seconds-Ago","AbortError","feel lines","trims shown","balance wish","way back","throws from","without steps","in this tab","Length-Unit","Decimal-Mark","(prefers-color-scheme: dark)","(prefers-reduced-motion: reduce)","(max-width: 640px)","/tally.svg","Enter","Home","Escape","Tab","Backspace","Shift","ArrowUp","ArrowDown","ArrowLeft","ArrowRight","PageUp","PageDown","End","Delete","Content-Type","MotionEvent"]);
const TEXTATTR=/^(title|label|description|aria-label|placeholder|hint|what|same|besideLabel|afterName|beforeName|xLabel|yLabel|none|aside|minusLabel|plusLabel|unit|words|alt|empty|done|aria-roledescription|aria-valuetext|suffix|prefix)$/;
const areas={};// area -> Map key->{text}
const log=[];
function areaOf(p){const m=p.match(/^src\/features\/([^/]+)\//);if(m)return m[1];if(p.startsWith("src/ui"))return "ui";if(p.startsWith("src/router")||p.startsWith("src/main"))return "pages";return "domain";}
const STOP=new Set("a an the of to in on at is are and or it its this that with for from by as be been was what which your you".split(" "));
function slug(text){
  let t=text.replace(/\{(\w+), (select|plural)[\s\S]*$/," ").replace(/<\/?\w+\/?>/g," ").replace(/\{\w+\}/g," ").replace(/[’']/g,"");
  let w=t.toLowerCase().split(/[^a-z0-9]+/).filter(Boolean);
  if(w.length>4){w=w.filter(x=>!STOP.has(x)).slice(0,4);}
  if(!w.length){w=(text.match(/\{(\w+)/)||[,"text"]).slice(1,2);}
  return w.map((x,i)=>i?x[0].toUpperCase()+x.slice(1):x).join("").replace(/^\d+/,"n$&");
}
function register(area,comp,text){
  const m=areas[area]??=new Map();
  let key=`${comp}.${slug(text)}`;let n=key;let i=2;
  while(m.has(n)&&m.get(n)!==text){n=key+"Or".repeat(i-1);i++;}
  m.set(n,text);return n;
}
function run(p){
 const src=fs.readFileSync(p,"utf8");
 const sf=ts.createSourceFile(p,src,ts.ScriptTarget.Latest,true,p.endsWith("x")?ts.ScriptKind.TSX:ts.ScriptKind.TS);
 const area=areaOf(p);const base=path.basename(p).replace(/\.tsx?$/,"");const comp=base[0].toLowerCase()+base.slice(1).replace(/-(\w)/g,(m,c)=>c.toUpperCase());
 let usedSay=false,usedRich=false;let depthSay=0;
 const esc=s=>s.replace(/'(?=[{}<#|])/g,"''").replace(/[{}]/g,m=>`'${m}'`).replace(/<(?=\w)/g,"'<'");
 const looks=s=>/[A-Za-z]{2}/.test(s);
 const sayText=(s,n)=>{const lead=/^\s/.test(s),trail=/\s$/.test(s);const k=register(area,comp,s.trim());usedSay=true;log.push(`${p}\t${s}`);const call=`say("${k}")`;return {call,lead,trail};};
 function isTexty(n){let f=false;const v=x=>{if(f)return;if(ts.isJsxElement(x)||ts.isJsxSelfClosingElement(x)||ts.isJsxFragment(x))return;if((ts.isStringLiteral(x)||ts.isNoSubstitutionTemplateLiteral(x))&&textual(x,true)){f=true;return;}if(ts.isTemplateExpression(x)&&tplTextual(x)){f=true;return;}if(ts.isCallExpression(x)&&!ts.isParenthesizedExpression(x)){return;}ts.forEachChild(x,v);};v(n);return f;}
 function hasJsx(n){let f=false;const v=x=>{if(f)return;if(ts.isJsxElement(x)||ts.isJsxSelfClosingElement(x)||ts.isJsxFragment(x)){f=true;return;}ts.forEachChild(x,v);};v(n);return f;}
 function textual(n,inText){const s=n.text;if(EXCL.has(s))return false;if(!/[a-z]/.test(s))return false;
   const par=n.parent;
   if(ts.isBinaryExpression(par)&&/=/.test(par.operatorToken.getText())&&par.operatorToken.kind!==K.EqualsToken)return false;
   if(ts.isCaseClause(par)||ts.isImportDeclaration(par)||ts.isExportDeclaration(par)||ts.isLiteralTypeNode(par)||ts.isElementAccessExpression(par)||ts.isPropertyAssignment(par)&&par.name===n)return false;
   if(ts.isCallExpression(par)&&/^(keep|kept|useKept|preference|querySelector|getElementById|closest|startsWith|endsWith|includes|split|join|matchMedia|addEventListener|removeEventListener|api\.\w+|setAttribute|getItem|setItem|Error|padStart|replace|match|createElement|useWork|headers\.get|get|has)$/.test(par.expression.getText().replace(/^.*\.(?=(querySelector|getElementById|closest|startsWith|endsWith|includes|split|join|matchMedia|addEventListener|removeEventListener|setAttribute|getItem|setItem|padStart|replace|match|get|has)$)/,"")))return ts.isCallExpression(par)&&/useWork$/.test(par.expression.getText())&&/ /.test(s);
   if(ts.isNewExpression(par))return false;
   if(/^(coach\/flight-paths|coach\/PathDrawing)/.test(p.replace("src/features/",""))&&/^from /.test(s))return false;
   if(/^(flex|grid|text-|px-|py-|p-\d|mt-|mb-|my-|mx-|ml-|gap|rounded|border|inline|block|bg-|min-|max-|w-|h-|M\d|M -|space-|figures|absolute|fixed|sticky|relative|size-|shrink|grow|sr-only|hidden|drawn|font-|underline|col-|row-|list-|cursor|fill-|stroke-|opacity|transition|animate|aspect|overflow|order-|items-|justify-|self-|leading|tracking|whitespace|basis|accent|first:|sm:|md:|lg:|hover:)/.test(s))return false;
   if(inText)return / /.test(s)||/^[A-Za-z]{2,}/.test(s)||/[A-Za-z]{2}/.test(s);
   return (/ [A-Za-z]|[A-Za-z] /.test(s)||/^[A-Z][a-z]+/.test(s));}
 function tplTextual(n){const lits=[n.head.text,...n.templateSpans.map(t=>t.literal.text)];const all=lits.join("{}");
   if(/^(\/|M\$|M\{)/.test(all)||/^(flex|grid|rounded|inline|text-|border|calc|url|translate|rotate|scale|matrix|hsl|rgb|figures|absolute|size-|block|M|min-|mt-|\/)/.test(all)||/#/.test(all))return false;
   if(/^(check|adjustment|school) \{\}$/.test(all)||/^(balanceWish|SERVO|SURFACE)/.test(all))return false;
   const par=n.parent;if(ts.isCallExpression(par)&&/(keep|kept|useKept|querySelector|Error|preference|getItem|setItem|typedMemory|t)$/.test(par.expression.getText())&&!/setSaid|say/.test(par.expression.getText()))return false;
   if(ts.isNewExpression(par))return false;
   return /[A-Za-z]{2,}/.test(all.replace(/\{\}/g,""))&&(/ /.test(all)||/^[A-Z]/.test(all));}
 function nameOf(e,vals){let x=e;
   const pick=y=>{if(ts.isIdentifier(y))return y.text;if(ts.isPropertyAccessExpression(y)){const t=y.name.text;if(t==="length")return pick(y.expression)+"";if(["name","words","label","title"].includes(t)&&!ts.isIdentifier(y.expression))return t;if(t==="name"||t==="words"){const b=pick(y.expression);return /^(one|each|it|row|x)$/.test(b)?t:b;}return t;}
     if(ts.isCallExpression(y)){const c=pick(y.expression);if(/^(toLowerCase|toFixed|trim|toString|join|map|filter|String|within|written|replace)$/.test(c)){if(ts.isPropertyAccessExpression(y.expression))return pick(y.expression.expression);return y.arguments[0]?pick(y.arguments[0]):c;}return c.replace(/Words$|Word$/,"")||c;}
     if(ts.isNonNullExpression(y)||ts.isParenthesizedExpression(y)||ts.isAsExpression(y))return pick(y.expression);
     if(ts.isBinaryExpression(y))return pick(y.left);if(ts.isPrefixUnaryExpression(y))return pick(y.operand);if(ts.isConditionalExpression(y))return pick(y.condition);if(ts.isElementAccessExpression(y))return pick(y.expression);
     if(ts.isJsxElement(y))return tagName(y.openingElement);if(ts.isJsxSelfClosingElement(y))return tagName(y);
     if(ts.isArrayLiteralExpression(y))return "list";return "value";};
   let b=pick(x).replace(/^\W+/,"");b=b.toLowerCase()===b?b:b[0].toLowerCase()+b.slice(1);if(!/^\w+$/.test(b))b="value";return b;}
 const tagName=o=>{const t=o.tagName.getText();return {strong:"b",Link:"link",a:"link",NavLink:"link"}[t]||t[0].toLowerCase()+t.slice(1).replace(/\W/g,"");};
 function bind(vals,name,code){let n=name,i=0;const alt=["other","third","fourth","fifth","sixth"];while(vals.has(n)&&vals.get(n)!==code){n=name+alt[i][0].toUpperCase()+alt[i].slice(1);i++;}vals.set(n,code);return n;}
 function boolCode(e){const t=conv(e);if(ts.isBinaryExpression(e)&&/^(===|!==|<|>|<=|>=)$/.test(e.operatorToken.getText()))return t;if(ts.isPrefixUnaryExpression(e)&&e.operator===K.ExclamationToken)return t;return ts.isIdentifier(e)&&/^(is|has|motor|longer|out|known|opposite|running|busy|whole|level|both)/.test(t)?t:`Boolean(${t})`;}
 // ICU of an expression within text
 function icu(e,vals){
   if(ts.isParenthesizedExpression(e))return icu(e.expression,vals);
   if(ts.isStringLiteral(e)||ts.isNoSubstitutionTemplateLiteral(e))return esc(e.text);
   if(ts.isTemplateExpression(e)){return esc(e.head.text)+e.templateSpans.map(s=>icu(s.expression,vals)+esc(s.literal.text)).join("");}
   if(ts.isConditionalExpression(e)&&isTexty(e)&&!hasJsx(e)){
     const c=e.condition;
     if(ts.isBinaryExpression(c)&&c.operatorToken.getText()==="==="&&c.right.getText()==="1"){const n=bind(vals,nameOf(c.left),conv(c.left));return `{${n}, plural, one {${icu(e.whenTrue,vals)}} other {${icu(e.whenFalse,vals)}}}`;}
     const n=bind(vals,nameOf(c),boolCode(c));return `{${n}, select, true {${icu(e.whenTrue,vals)}} other {${icu(e.whenFalse,vals)}}}`;}
   if(ts.isBinaryExpression(e)&&e.operatorToken.getText()==="&&"&&isTexty(e.right)&&!hasJsx(e)){const n=bind(vals,nameOf(e.left),boolCode(e.left));return `{${n}, select, true {${icu(e.right,vals)}} other {}}`;}
   const n=bind(vals,nameOf(e),conv(e));return `{${n}}`;}
 function valsCode(vals){if(!vals.size)return "";return ", { "+[...vals].map(([n,c])=>n===c?n:`${n}: ${c}`).join(", ")+" }";}
 function sayTpl(text,vals){const k=register(area,comp,text.trim());usedSay=true;log.push(`${p}\t${text}`);return {call:`say("${k}"${valsCode(vals)})`,lead:/^\s/.test(text),trail:/\s$/.test(text)};}
 const norm=t=>{ // JSX text normalization
   const lines=t.split("\n");return lines.map((l,i)=>{let x=l.replace(/\t/g," ");if(i>0)x=x.replace(/^ +/,"");if(i<lines.length-1)x=x.replace(/ +$/,"");return x;}).filter((x,i,a)=>x!==""||a.length===1).join(" ");};
 function childrenOf(n){return n.children.filter(c=>!(ts.isJsxText(c)&&c.containsOnlyTriviaWhiteSpaces));}
 function isSpaceExpr(c){return ts.isJsxExpression(c)&&c.expression&&ts.isStringLiteral(c.expression)&&c.expression.text.trim()==="";}
 function convChildren(n){
   let cs=childrenOf(n);
   const textAt=cs.map(c=>ts.isJsxText(c)&&looks(c.text));
   if(!textAt.some(Boolean))return null;
   let a=0,b=cs.length-1;
   const isText=c=>ts.isJsxText(c)||ts.isJsxExpression(c);
   const icon=c=>ts.isJsxSelfClosingElement(c)||(ts.isJsxExpression(c)&&c.expression&&hasJsx(c.expression));
   const block=c=>ts.isJsxElement(c)&&/^(ul|ol|div|dl|Button|input|form|p|Card|section|table|Choice|label|Link)$/.test(c.openingElement.tagName.getText())&&!(c.openingElement.tagName.getText()==="Link");
   const first=textAt.indexOf(true),last=textAt.lastIndexOf(true);
   // outside of the text: icons and blocks
   while(a<first&&(icon(cs[a])||block(cs[a])||isSpaceExpr(cs[a])))a++;
   while(b>last&&(icon(cs[b])||block(cs[b])||isSpaceExpr(cs[b])))b--;
   const before=cs.slice(0,a).map(conv).join(" "),after=cs.slice(b+1).map(conv).join(" ");
   const mid=cs.slice(a,b+1);
   const vals=new Map();let text="";let rich=false;
   const lastIsText=i=>true;
   const walkRun=(list)=>{let out="";list.forEach((c,i)=>{
     if(ts.isJsxText(c)){out+=esc(norm(c.text));return;}
     if(isSpaceExpr(c)){out+=" ";return;}
     if(ts.isJsxExpression(c)){if(!c.expression)return;
       if(hasJsx(c.expression)){rich=true;out+=`{${bind(vals,nameOf(c.expression),conv(c.expression))}}`;return;}
       out+=icu(c.expression,vals);return;}
     if(ts.isJsxSelfClosingElement(c)){rich=true;out+=`{${bind(vals,tagName(c),conv(c))}}`;return;}
     if(ts.isJsxElement(c)){rich=true;
       const inner=childrenOf(c);const simple=inner.every(x=>ts.isJsxText(x)||isSpaceExpr(x)||(ts.isJsxExpression(x)&&x.expression&&!hasJsx(x.expression)));
       const hasText=inner.some(x=>ts.isJsxText(x)&&looks(x.text));
       if(simple&&hasText&&!block(c)){const inside=walkRun(inner);const o=c.openingElement;const t=bind(vals,tagName(o),`(words) => ${convOpen(o)}{words}</${o.tagName.getText()}>`);out+=`<${t}>${inside.trim()}</${t}>`;return;}
       out+=`{${bind(vals,tagName(c.openingElement),conv(c))}}`;return;}
     rich=true;out+=`{${bind(vals,"part",conv(c))}}`;});return out;};
   text=walkRun(mid).replace(/\s+/g," ");
   const lead=/^ /.test(text)&&a>0,trail=/ $/.test(text)&&b<cs.length-1;
   text=text.trim();
   log.push(`${p}\t${text}`);
   const k=register(area,comp,text);
   let body;
   if(rich){usedRich=true;body=`<Say id="${k}"${vals.size?` values={{ ${[...vals].map(([n,c])=>n===c?n:`${n}: ${c}`).join(", ")} }}`:""} />`;}
   else{usedSay=true;body=`{say("${k}"${valsCode(vals)})}`;}
   return before+(before&&(lead||true)&&cs.slice(0,a).some(isSpaceExpr)?"":"")+(lead?'{" "}':"")+body+(trail?'{" "}':"")+after;}
 function convOpen(o){return conv(o);}
 function conv(n){
   if(ts.isImportDeclaration(n)||ts.isExportDeclaration(n)||ts.isTypeNode(n)||ts.isInterfaceDeclaration(n)||ts.isTypeAliasDeclaration(n))return n.getText();
   if(ts.isJsxElement(n)){const c=convChildren(n);if(c!==null)return conv(n.openingElement)+c+n.closingElement.getText();}
   if(ts.isJsxFragment(n)){const c=convChildren(n);if(c!==null)return "<>"+c+"</>";}
   if(ts.isJsxAttribute(n)){const name=n.name.getText();const i=n.initializer;
     if(i&&ts.isStringLiteral(i)){if(TEXTATTR.test(name)&&/[A-Za-z]{2}/.test(i.text)){const s=sayText(i.text,i);return `${name}={${s.lead?'`':''}${s.call}}`;}return n.getText();}
     if(/^(className|d|style|transform|points|to|href|key|data-[\w-]+|path|part|type|name|value|id|htmlFor|shows|list|form|chain|role|of|kind)$/.test(name)){ if(!i||!ts.isJsxExpression(i)||!hasJsx(i))return n.getText();}
   }
   if((ts.isStringLiteral(n)||ts.isNoSubstitutionTemplateLiteral(n))&&textual(n,false)){const s=sayText(n.text,n);return s.lead||s.trail?("`"+(s.lead?" ":"")+"${"+s.call+"}"+(s.trail?" ":"")+"`"):s.call;}
   if(ts.isTemplateExpression(n)&&tplTextual(n)&&!(n.parent&&ts.isPropertyAssignment(n.parent)&&/^(path|chain|key|page|d|href|className|name)$/.test(n.parent.name.getText()))){const vals=new Map();const t=icu(n,vals);const s=sayTpl(t,vals);return s.lead||s.trail?("`"+(s.lead?" ":"")+"${"+s.call+"}"+(s.trail?" ":"")+"`"):s.call;}
   // splice children
   let out="",pos=n.getStart(sf,false);const end=n.getEnd();
   ts.forEachChild(n,c=>{const s=c.getStart(sf,false);if(s<pos)return; out+=src.slice(pos,s)+conv(c);pos=c.getEnd();});
   out+=src.slice(pos,end);return out;}
 // JsxText start must not skip whitespace
 const orig=ts.Node;
 let out="";let pos=0;
 for(const st of sf.statements){const s=st.getStart(sf,false);out+=src.slice(pos,s)+conv(st);pos=st.getEnd();}
 out+=src.slice(pos);
 if(usedSay||usedRich){const names=[usedRich&&"Say",usedSay&&"say"].filter(Boolean).join(", ");const imp=`import { ${names} } from "@/words/${area}";\n`;
   const imports=sf.statements.filter(ts.isImportDeclaration);
   if(imports.length){const e=imports[imports.length-1].getText();const i=out.indexOf(e)+e.length;out=out.slice(0,i)+"\n"+imp.trimEnd()+out.slice(i);}else out=imp+out;
   fs.writeFileSync(p,out);}
}
function walk(d){for(const f of fs.readdirSync(d).sort()){const p=path.join(d,f);if(fs.statSync(p).isDirectory()){if(!/generated|src\/test|src\/words/.test(p))walk(p);}else if(/\.tsx?$/.test(f)&&!/\.test\./.test(f))run(p);}}
walk("src");
let props="";const COUNT={};
for(const [a,m] of Object.entries(areas)){props+=`\n# ${a}\n`;for(const [k,v] of [...m].sort((x,y)=>x[0]<y[0]?-1:1))props+=`${a}.${k}=${v}\n`;COUNT[a]=m.size;}
fs.writeFileSync("/tmp/w/page.properties",props);fs.writeFileSync("/tmp/w/conv.log",log.join("\n"));console.log(COUNT);
